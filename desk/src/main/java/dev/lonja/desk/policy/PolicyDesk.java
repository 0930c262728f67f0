package dev.lonja.desk.policy;

import dev.lonja.core.forecast.Consumption;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.policy.Choice;
import dev.lonja.core.policy.Holder;
import dev.lonja.core.policy.Policies;
import dev.lonja.core.policy.Question;
import dev.lonja.core.policy.School;
import dev.lonja.core.pour.FillPolicy;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.desk.answer.KeptAnswer;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** The store's policies and what differs from them, each with what it takes in the year ahead. */
@Service
@Allowed.ToSeeStore
public class PolicyDesk extends KeepersDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public PolicyDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** All questions with their answers, and how fills are reckoned. */
  public record Overview(List<Answer> answers, FillPolicy fills, BigDecimal coolantShare) {}

  /**
   * The store's answer to a question, and who does otherwise.
   *
   * @param others in order of how wide they are
   */
  public record Answer(Question question, Choice ofStore, List<Other> others) {}

  /** Somebody with a choice of its own. */
  public record Other(HolderName name, Choice choice) {}

  /**
   * A question with what each of its schools would take if the whole store went by it.
   *
   * @param now as it is
   * @param asked who else may answer for itself
   */
  public record Asked(
      Answer answer, YearAhead now, List<Outlook> schools, List<HolderName> asked) {}

  /** What a choice would take. */
  public record Outlook(Choice choice, YearAhead year) {}

  /**
   * A choice held against what is in force.
   *
   * @param items of which more or less would be taken
   */
  public record Preview(
      HolderName name, Choice choice, YearAhead now, YearAhead then, List<ItemChange> items) {}

  /** An item of which more or less would be taken. */
  public record ItemChange(Item item, Consumption.Change change) {}

  @KeptAnswer
  public Overview overview() {
    return store.read(
        session -> {
          HolderNames names = HolderNames.of(fleet(session));
          Policies policies = session.policies().all();
          return new Overview(
              Arrays.stream(Question.values()).map(q -> answer(q, policies, names)).toList(),
              session.settings().fillPolicy(),
              session.settings().coolantShare());
        });
  }

  private FleetPicture fleet(Session session) {
    return FleetPicture.load(session, clock.today());
  }

  private static Answer answer(Question question, Policies policies, HolderNames names) {
    return new Answer(
        question,
        policies.inForce(question, List.of(Holder.STORE)).choice(),
        names.asked(question).stream()
            .flatMap(
                name -> policies.own(name.holder(), question).map(c -> new Other(name, c)).stream())
            .toList());
  }

  @KeptAnswer
  public Asked question(Question question) {
    return store.read(
        session -> {
          FleetPicture fleet = fleet(session);
          HolderNames names = HolderNames.of(fleet);
          Policies policies = session.policies().all();
          Answer answer = answer(question, policies, names);
          return new Asked(
              answer,
              YearAhead.of(session, fleet, policies),
              question.schools().stream()
                  .map(school -> choice(school, answer.ofStore()))
                  .map(
                      choice ->
                          new Outlook(choice, YearAhead.with(session, fleet, Holder.STORE, choice)))
                  .toList(),
              names.asked(question));
        });
  }

  /** A school with the number in force, or one that shows what it does. */
  private static Choice choice(School school, Choice inForce) {
    return inForce.school() == school ? inForce : school.example();
  }

  /** What a choice would change; empty if the holder is not asked. */
  public Optional<Preview> preview(Holder holder, Choice choice) {
    return store.read(
        session -> {
          FleetPicture fleet = fleet(session);
          HolderNames names = HolderNames.of(fleet);
          if (!names.isAsked(choice.question(), holder)) {
            return Optional.empty();
          }
          YearAhead now = YearAhead.of(session, fleet, fleet.policies());
          YearAhead then = YearAhead.with(session, fleet, holder, choice);
          return names
              .of(holder)
              .map(name -> new Preview(name, choice, now, then, items(session, now, then)));
        });
  }

  private static List<ItemChange> items(Session session, YearAhead now, YearAhead then) {
    Map<ItemId, Consumption.Change> changes = now.consumption().changesTo(then.consumption());
    Map<ItemId, Item> items = session.items().byIds(changes.keySet());
    return changes.entrySet().stream()
        .map(entry -> new ItemChange(items.get(entry.getKey()), entry.getValue()))
        .toList();
  }

  /** Makes a choice for the store, or for one who does otherwise. */
  @Allowed.ToKeepStore
  public Outcome choose(Sent sent, Holder holder, Choice choice) {
    return once.run(
        sent,
        session -> {
          HolderNames names = HolderNames.of(fleet(session));
          if (!names.isAsked(choice.question(), holder)) {
            return Outcome.refused(new PolicyRefusal.NotAsked(choice.question(), holder));
          }
          Optional<Choice> before = session.policies().all().own(holder, choice.question());
          session.policies().choose(holder, choice);
          audit(session, sent, subject(names, holder), facts(before), facts(Optional.of(choice)));
          return Outcome.done();
        });
  }

  /** Takes a choice back, so that what is wider answers again. */
  @Allowed.ToKeepStore
  public Outcome withdraw(Sent sent, Holder holder, Question question) {
    return once.run(
        sent,
        session -> {
          Optional<Choice> before = session.policies().all().own(holder, question);
          if (before.isEmpty()) {
            return Outcome.refused(new PolicyRefusal.NothingOfItsOwn(question, holder));
          }
          session.policies().withdraw(holder, question);
          HolderNames names = HolderNames.of(fleet(session));
          audit(session, sent, subject(names, holder), facts(before), Facts.NONE);
          return Outcome.done();
        });
  }

  private static String subject(HolderNames names, Holder holder) {
    return names.of(holder).map(name -> (name.name() + " " + name.part()).strip()).orElse("");
  }

  private static Facts facts(Optional<Choice> choice) {
    return choice
        .map(
            made ->
                Facts.of("question", made.question())
                    .with("school", made.school())
                    .with("number", made.number().map(PlainDecimal::of).orElse("")))
        .orElse(Facts.NONE);
  }

  /**
   * Sets how every fill of this store is reckoned and poured.
   *
   * @param coolant the part of concentrate in coolant where a book says nothing
   */
  @Allowed.ToKeepStore
  public Outcome pour(Sent sent, FillPolicy policy, BigDecimal coolant) {
    return once.run(
        sent,
        session -> {
          Facts before = facts(session.settings().fillPolicy(), session.settings().coolantShare());
          session.settings().set(policy);
          session.settings().setCoolantShare(coolant);
          audit(session, sent, "", before, facts(policy, coolant));
          return Outcome.done();
        });
  }

  private static Facts facts(FillPolicy policy, BigDecimal coolant) {
    return Facts.of("handling_loss", PlainDecimal.of(policy.handlingLoss()))
        .with("hold_back", PlainDecimal.of(policy.holdBack()))
        .with("least_hold_back_l", policy.leastHoldBack().exactText())
        .with("jug_l", policy.jug().exactText())
        .with("grease_stroke_kg", policy.stroke().exactText())
        .with("coolant_share", PlainDecimal.of(coolant));
  }

  private void audit(Session session, Sent sent, String subject, Facts before, Facts after) {
    session.audit().add(sent.line(clock.now(), Matter.POLICY, subject, Deed.EDITED, before, after));
  }
}

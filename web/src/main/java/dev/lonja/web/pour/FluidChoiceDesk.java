package dev.lonja.web.pour;

import dev.lonja.core.choice.PackChoice;
import dev.lonja.core.choice.PackSet;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fluid.Level;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.desk.fluid.SignOffs;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.fluid.SignOff;
import dev.lonja.store.tray.Tray;
import dev.lonja.web.fluid.FluidAdvice;
import dev.lonja.web.fluid.ReasonWording;
import dev.lonja.web.fluid.VerdictView;
import dev.lonja.web.request.Typed;
import dev.lonja.web.tray.FluidLine;
import dev.lonja.web.tray.TrayDesk;
import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;

/**
 * What lies on a tray's line for a compartment: which packs of the product to take, which other
 * product, and who signs for one that the spec does not allow without a word.
 */
@Service
@Allowed.ToSeeStore
public class FluidChoiceDesk {

  private static final int LONGEST_NAME = 60;
  private static final int LONGEST_WHY = 200;
  private static final String OTHER_PACK = "other packs of the same product";

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public FluidChoiceDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** Another item as typed. */
  public record Form(ItemId itemId, String why, String signedBy) {}

  /**
   * The page of one line.
   *
   * @param now what the rules say of what is to lie there; empty if it is simply allowed
   * @param packs which to take off the shelf; empty if they do not cover it
   * @param takesPacks true if that differs from what is asked for
   * @param rows every product of the kind with its packs
   */
  record View(
      TrayId trayId,
      String tray,
      long lineId,
      String unit,
      String place,
      CompartmentId specId,
      String product,
      String amount,
      String now,
      Optional<PackView.Advice> packs,
      boolean takesPacks,
      List<Row> rows) {}

  /** A product with the packs that are free. */
  record Row(VerdictView verdict, boolean needsSignature, List<Choice> items) {}

  record Choice(ItemId itemId, String words) {}

  /** An open tray's line for a compartment. */
  private record Target(Tray tray, FluidLine fluid, FluidBook book) {}

  private Optional<Target> target(Session session, TrayId trayId, long lineId) {
    Optional<Tray> tray = session.trays().byId(trayId).filter(Tray::isOpen);
    FluidBook book = FluidBook.load(session, clock.today());
    return tray.flatMap(
        t ->
            t.lines().stream()
                .filter(line -> line.id() == lineId)
                .findFirst()
                .flatMap(
                    line ->
                        FluidLine.of(
                            session,
                            book,
                            FleetPicture.load(session, clock.today()).needs(t.unitId()),
                            line))
                .map(fluid -> new Target(t, fluid, book)));
  }

  /** Empty if the tray is not open, or the line is not one for a compartment. */
  Optional<View> view(TrayId trayId, long lineId) {
    return store.read(
        session -> target(session, trayId, lineId).map(target -> view(session, target)));
  }

  private View view(Session session, Target target) {
    FluidLine fluid = target.fluid();
    Optional<PackChoice.Choice> choice = packs(session, target);
    return new View(
        target.tray().id(),
        target.tray().number(),
        fluid.line().id(),
        target.tray().unitCode(),
        fluid.line().place(),
        fluid.compartment().id(),
        fluid.product().display(),
        fluid.line().wanted().display(),
        fluid.words(),
        choice.map(c -> ShelfPacks.advice(c, target.tray().plannedOn(), clock.today())),
        choice.filter(c -> differs(session, target, c)).isPresent(),
        VerdictView.all(target.book(), fluid.compartment().spec()).stream()
            .map(verdict -> row(target, verdict))
            .toList());
  }

  private Optional<PackChoice.Choice> packs(Session session, Target target) {
    return ShelfPacks.choose(
        session,
        target.book(),
        target.fluid().product().id(),
        new Volume(target.fluid().line().wanted().millionths()),
        target.tray().plannedOn(),
        clock.today());
  }

  private static boolean differs(Session session, Target target, PackChoice.Choice choice) {
    Map<ItemId, Quantity> amounts = amounts(session, choice.best());
    return !amounts.keySet().equals(Set.of(target.fluid().line().itemId()));
  }

  private static Row row(Target target, VerdictView verdict) {
    return new Row(
        verdict,
        !verdict.isFreeToUse() && !verdict.isOut(),
        target.book().packs(verdict.productId()).stream()
            .map(
                item ->
                    new Choice(
                        item.id(),
                        item.number()
                            + ", "
                            + item.pack().orElseThrow().display()
                            + ": "
                            + target.book().freeOf(item).display()
                            + " in "
                            + item.homeBin().address()))
            .toList());
  }

  /** What to take of each item; what is left over stays in the smallest pack. */
  private static Map<ItemId, Quantity> amounts(Session session, PackSet set) {
    Map<ItemId, Quantity> amounts = new LinkedHashMap<>();
    Quantity over = Quantity.of(set.over());
    for (int i = 0; i < set.counts().size(); i++) {
      PackSet.Count count = set.counts().get(i);
      Quantity all = Quantity.of(count.pack().litres()).times(BigDecimal.valueOf(count.packs()));
      boolean smallest = i == set.counts().size() - 1;
      ItemId item = count.pack().origin().item();
      amounts.merge(item, smallest ? all.minus(over) : all, Quantity::plus);
    }
    return amounts;
  }

  /** Puts the packs on the tray that cover the line best. */
  @Allowed.ToKeepStore
  public Outcome takePacks(Sent sent, TrayId trayId, long lineId) {
    return once.run(
        sent,
        session -> {
          Optional<Target> target = target(session, trayId, lineId);
          if (target.isEmpty()) {
            return gone();
          }
          Optional<PackChoice.Choice> choice = packs(session, target.get());
          if (choice.isEmpty()) {
            return Outcome.refused(
                Problem.ofWhole("What is free on the shelf does not cover the line."));
          }
          split(session, target.get(), amounts(session, choice.get().best()));
          session.trays().touch(trayId, target.get().tray().version());
          return new Outcome.Done(TrayDesk.path(trayId));
        });
  }

  private static void split(Session session, Target target, Map<ItemId, Quantity> amounts) {
    TrayLine line = target.fluid().line();
    boolean first = true;
    for (Map.Entry<ItemId, Quantity> amount : amounts.entrySet()) {
      long id = line.id();
      if (first) {
        session.trays().setLaid(id, Quantity.zero(line.wanted().measure()));
        session.trays().setWanted(id, amount.getValue());
      } else {
        id =
            session
                .trays()
                .addLine(
                    target.tray().id(),
                    line.askedItemId(),
                    line.place(),
                    line.note(),
                    amount.getValue(),
                    line.destination());
      }
      Optional<Long> signOff = session.trays().signOffOf(line.id());
      session.trays().substitute(id, amount.getKey(), substitution(line, amount.getKey()));
      long lineId = id;
      signOff.ifPresent(s -> session.trays().setSignOff(lineId, s));
      first = false;
    }
  }

  private static Optional<TrayLine.Substitution> substitution(TrayLine line, ItemId itemId) {
    if (itemId.equals(line.askedItemId())) {
      return Optional.empty();
    }
    return line.substitution()
        .or(() -> Optional.of(new TrayLine.Substitution(line.askedItemId(), OTHER_PACK)));
  }

  /** Puts an item on the line, with a signature where the spec does not simply allow it. */
  @Allowed.ToKeepStore
  public Outcome lay(Sent sent, TrayId trayId, long lineId, Form form) {
    return once.run(
        sent,
        session -> {
          Optional<Target> target = target(session, trayId, lineId);
          Optional<Item> item =
              session.items().byId(form.itemId()).filter(i -> i.product().isPresent());
          if (target.isEmpty() || item.isEmpty()) {
            return gone();
          }
          return lay(session, sent, target.get(), item.get(), form);
        });
  }

  private static Outcome gone() {
    return Outcome.refused(Problem.ofWhole("That line is no longer on an open tray."));
  }

  private Outcome lay(Session session, Sent sent, Target target, Item item, Form form) {
    TrayLine line = target.fluid().line();
    Suitability verdict =
        target
            .book()
            .verdict(target.fluid().compartment().spec(), item.product().orElseThrow().id());
    if (verdict.overall() == Level.NO) {
      return Outcome.refused(
          new Problem(
              "itemId",
              FluidAdvice.refusal(target.book(), target.fluid().compartment().spec(), item)));
    }
    Typed typed = new Typed();
    boolean asked = item.id().equals(line.askedItemId());
    boolean signs = !verdict.overall().isFree();
    Optional<String> why =
        asked && !signs
            ? Optional.of("")
            : typed.text("why", "The reason", form.why(), LONGEST_WHY);
    Optional<String> by =
        signs
            ? typed.text("signedBy", "Who signs for it", form.signedBy(), LONGEST_NAME)
            : Optional.of("");
    if (!typed.problems().isEmpty()) {
      return new Outcome.Refused(typed.problems());
    }
    session
        .trays()
        .substitute(
            line.id(),
            item.id(),
            asked
                ? Optional.empty()
                : Optional.of(new TrayLine.Substitution(line.askedItemId(), why.orElseThrow())));
    if (signs) {
      sign(session, sent, target, item, verdict, by.orElseThrow(), why.orElseThrow());
    }
    session.trays().touch(target.tray().id(), target.tray().version());
    return new Outcome.Done(TrayDesk.path(target.tray().id()));
  }

  private void sign(
      Session session,
      Sent sent,
      Target target,
      Item item,
      Suitability verdict,
      String by,
      String why) {
    long signOff =
        session
            .pours()
            .add(
                new SignOff(
                    target.tray().unitId(),
                    target.fluid().compartment().id(),
                    item.id(),
                    Optional.of(target.tray().id()),
                    SignOffs.shortened(
                        ReasonWording.state(verdict.overall()).word()
                            + ": "
                            + String.join("; ", ReasonWording.against(verdict))),
                    by,
                    why,
                    sent.actor(),
                    clock.now()));
    session.trays().setSignOff(target.fluid().line().id(), signOff);
  }
}

package dev.lonja.web.study;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fluid.Level;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Volume;
import dev.lonja.desk.choice.ChangeOverPlan;
import dev.lonja.desk.choice.StudyMaker;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.AuditLog;
import dev.lonja.store.fluid.StudyRepository.ChangeOver;
import dev.lonja.store.fluid.StudyRepository.Line;
import dev.lonja.store.fluid.StudyRepository.Study;
import dev.lonja.web.frame.Words;
import dev.lonja.web.request.Typed;
import dev.lonja.web.spec.SpecView;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Which products are really needed: studies made, kept, compared and put into effect. */
@Service
@Allowed.ToSeeStore
public class StudyDesk {

  private static final int LONGEST_TITLE = 60;
  private static final BigDecimal MOST_HOLDING = BigDecimal.valueOf(100_000);
  private static final String FORBID = "forbid";
  private static final String KEEP = "keep";

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public StudyDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  @Allowed.ToSeeStore
  StudyView.All all() {
    return store.read(
        session ->
            new StudyView.All(
                session.studies().all().stream().map(this::row).toList(),
                session.products().all().stream()
                    .map(p -> new SpecView.Choice(String.valueOf(p.id()), p.display()))
                    .toList(),
                Stream.of(Level.MEETS, Level.LISTED, Level.SEASONAL, Level.SIGN_OFF)
                    .map(level -> new SpecView.Choice(level.name(), allowed(level)))
                    .toList()));
  }

  private static String allowed(Level level) {
    return switch (level) {
      case LISTED -> "listed only";
      case MEETS -> "listed or meets";
      case SEASONAL -> "seasonal too";
      case SIGN_OFF, NO -> "with a signature too";
    };
  }

  private StudyView.Row row(Study study) {
    return new StudyView.Row(
        study.id(),
        study.title(),
        Words.day(study.on(), clock.today()) + ", " + study.actor(),
        study.chosen().size(),
        study.costToday().display(),
        study.cost().display(),
        study.saving().display());
  }

  @Allowed.ToSeeStore
  Optional<StudyView> view(long id) {
    return store.read(session -> session.studies().byId(id).map(study -> view(session, study)));
  }

  private StudyView view(Session session, Study study) {
    ChangeOverPlan planner = new ChangeOverPlan(session, clock.today());
    ChangeOverPlan.Plan plan = planner.of(study);
    Map<CompartmentId, String> names = planner.names();
    Set<ProductId> today = new LinkedHashSet<>();
    study.lines().forEach(line -> line.today().ifPresent(today::add));
    return new StudyView(
        study.id(),
        study.title(),
        Words.day(study.on(), clock.today()) + " by " + study.actor(),
        allowed(study.allowed()),
        study.holding().display(),
        study.forbidden().stream().map(planner::productName).toList(),
        study.kept().stream().map(planner::productName).toList(),
        Stream.concat(study.chosen().stream(), today.stream())
            .distinct()
            .map(
                product ->
                    new StudyView.ProductRow(
                        product,
                        planner.productName(product),
                        today.contains(product),
                        study.chosen().contains(product)))
            .sorted(Comparator.comparing(StudyView.ProductRow::name))
            .toList(),
        study.costToday().display(),
        study.cost().display(),
        study.saving().display(),
        study.saving().minor() > 0,
        study.lines().stream().map(line -> line(planner, names, line)).toList(),
        forced(session, planner, study),
        study.lines().stream()
            .filter(line -> line.proposed().isEmpty())
            .map(line -> names.getOrDefault(line.compartmentId(), ""))
            .distinct()
            .toList(),
        plan.changes().stream()
            .sorted(Comparator.comparing(ChangeOverPlan.Change::on))
            .map(
                change ->
                    new StudyView.ChangeRow(
                        names.getOrDefault(change.compartmentId(), ""),
                        planner.productName(change.from()),
                        planner.productName(change.to()),
                        change.item().number(),
                        Words.day(change.on(), clock.today())))
            .toList(),
        plan.rests().stream()
            .map(
                rest ->
                    rest.litres().display()
                        + " of "
                        + planner.productName(rest.productId())
                        + " is left when everything has changed; no service within a year takes"
                        + " it.")
            .toList(),
        (int)
            session.studies().changeOvers().values().stream()
                .filter(change -> change.studyId() == study.id())
                .count());
  }

  private static StudyView.LineRow line(
      ChangeOverPlan planner, Map<CompartmentId, String> names, Line line) {
    return new StudyView.LineRow(
        names.getOrDefault(line.compartmentId(), "a compartment that is gone"),
        whole(line.litres()),
        line.today().map(planner::productName).orElse("none chosen"),
        line.proposed().map(planner::productName).orElse("nothing covers it"),
        line.proposed().isPresent() && !line.proposed().equals(line.today()));
  }

  private static String whole(Volume litres) {
    return litres.display();
  }

  private static List<String> forced(Session session, ChangeOverPlan planner, Study study) {
    Map<UnitId, String> codes = new HashMap<>();
    session.fleet().units().forEach(unit -> codes.put(unit.id(), unit.code()));
    return study.forcedBy().entrySet().stream()
        .flatMap(
            entry ->
                entry.getValue().stream()
                    .map(
                        product ->
                            codes.getOrDefault(entry.getKey(), "a unit that is gone")
                                + " alone forces "
                                + planner.productName(product)))
        .toList();
  }

  /** Makes a study and keeps it. */
  @Allowed.ToKeepStore
  public Outcome make(Sent sent, Map<String, String> fields) {
    return once.run(
        sent,
        session -> {
          Typed typed = new Typed();
          Optional<StudyMaker.Wish> wish = wish(session, typed, fields);
          if (wish.isEmpty()) {
            return new Outcome.Refused(typed.problems());
          }
          Optional<Study> study =
              new StudyMaker(session, clock.today()).make(wish.get(), sent.actor());
          if (study.isEmpty()) {
            return Outcome.refused(
                Problem.ofWhole("No fluid with a known price is stocked. Add packs first."));
          }
          if (study.get().lines().stream().allMatch(line -> line.proposed().isEmpty())) {
            return Outcome.refused(
                Problem.ofWhole(
                    "Nothing that is left covers any spec in use. Forbid less, or allow a lower"
                        + " verdict."));
          }
          long id = session.studies().add(study.get(), clock.now());
          return new Outcome.Done("/oils/studies/" + id);
        });
  }

  private static Optional<StudyMaker.Wish> wish(
      Session session, Typed typed, Map<String, String> fields) {
    Optional<String> title =
        typed.text("title", "The title", fields.getOrDefault("title", ""), LONGEST_TITLE);
    Optional<Level> allowed =
        Arrays.stream(Level.values())
            .filter(level -> level != Level.NO)
            .filter(level -> level.name().equals(fields.getOrDefault("allowed", "")))
            .findFirst();
    if (allowed.isEmpty()) {
      typed.refuse("allowed", "Choose which verdicts count.");
    }
    String holding = fields.getOrDefault("holding", "");
    Optional<BigDecimal> amount = typed.decimal("holding", "The yearly cost of a product", holding);
    boolean within =
        amount.filter(a -> a.signum() >= 0 && a.compareTo(MOST_HOLDING) <= 0).isPresent();
    if (amount.isPresent() && !within) {
      typed.refuse(
          "holding",
          "The yearly cost of a product is " + holding.strip() + "; allowed is 0 to 100000.");
    }
    Set<ProductId> forbidden = new LinkedHashSet<>();
    Set<ProductId> kept = new LinkedHashSet<>();
    session
        .products()
        .all()
        .forEach(
            product -> {
              String choice = fields.getOrDefault("product-" + product.id(), "");
              if (choice.equals(FORBID)) {
                forbidden.add(product.id());
              } else if (choice.equals(KEEP)) {
                kept.add(product.id());
              }
            });
    return typed.problems().isEmpty()
        ? Optional.of(
            new StudyMaker.Wish(
                title.orElseThrow(),
                allowed.orElseThrow(),
                Money.of(amount.orElseThrow(), session.settings().currency()),
                forbidden,
                kept))
        : Optional.empty();
  }

  /**
   * Puts a study into effect: each compartment changes over on the day on which its old stock no
   * longer lasts. Trays that are open keep what lies on them.
   */
  @Allowed.ToKeepStore
  public Outcome apply(Sent sent, long id) {
    return once.run(
        sent,
        session -> {
          Optional<Study> study = session.studies().byId(id);
          if (study.isEmpty()) {
            return Outcome.refused(Problem.ofWhole("That study is not on file."));
          }
          List<ChangeOverPlan.Change> changes =
              new ChangeOverPlan(session, clock.today()).of(study.get()).changes();
          if (changes.isEmpty()) {
            return Outcome.refused(Problem.ofWhole("The study changes nothing."));
          }
          changes.forEach(
              change ->
                  session
                      .studies()
                      .set(
                          new ChangeOver(
                              change.compartmentId(), change.item().id(), change.on(), id)));
          audit(session, sent, id, "applied", changes.size() + " compartments change over");
          return new Outcome.Done("/oils/studies/" + id);
        });
  }

  /** Takes back the change-overs of a study; those that have come stay until then too. */
  @Allowed.ToKeepStore
  public Outcome takeBack(Sent sent, long id) {
    return once.run(
        sent,
        session -> {
          List<ChangeOver> set =
              session.studies().changeOvers().values().stream()
                  .filter(change -> change.studyId() == id)
                  .toList();
          set.forEach(change -> session.studies().cancel(change.compartmentId()));
          audit(session, sent, id, "taken back", set.size() + " change-overs");
          return new Outcome.Done("/oils/studies/" + id);
        });
  }

  private void audit(Session session, Sent sent, long id, String action, String after) {
    session
        .audit()
        .add("study", id, new AuditLog.Line(action, "", after, sent.actor(), clock.now()));
  }
}

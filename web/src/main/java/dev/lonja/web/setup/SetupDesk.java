package dev.lonja.web.setup;

import dev.lonja.core.forecast.UnitPlan;
import dev.lonja.core.pour.FillPolicy;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.IntervalPolicy;
import dev.lonja.core.service.Occurrence;
import dev.lonja.core.service.ServiceTake;
import dev.lonja.core.service.TakeLine;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetLoader;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.audit.AuditLog;
import dev.lonja.web.due.SchoolWording;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** The store's policies, each with what it takes in the forecast. */
@Service
@Allowed.ToSeeStore
public class SetupDesk {

  private static final int WEEKS = 52;
  private static final BigDecimal LEAST_FACTOR = new BigDecimal("0.1");
  private static final BigDecimal EXAMPLE_FACTOR = new BigDecimal("0.8");

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  /** A school of intervals as typed. */
  public record SchoolForm(String school, String factor, boolean calendarLimit) {}

  public SetupDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  @Allowed.ToSeeStore
  SetupView view() {
    LocalDate today = clock.today();
    return store.read(
        session -> {
          IntervalPolicy inForce = session.settings().intervalPolicy();
          FleetLoader loader = new FleetLoader(session, today);
          return new SetupView(
              inForce.school().name(),
              PlainDecimal.of(inForce.factor()),
              inForce.calendarLimit(),
              SchoolWording.of(inForce),
              "in " + WEEKS + " weeks from today",
              Arrays.stream(IntervalPolicy.School.values())
                  .map(school -> school(loader, school, inForce, today))
                  .toList(),
              fills(session.settings().fillPolicy()));
        });
  }

  private static SetupView.School school(
      FleetLoader loader, IntervalPolicy.School school, IntervalPolicy inForce, LocalDate today) {
    boolean shortened = school == IntervalPolicy.School.SHORTENED;
    BigDecimal factor =
        shortened && inForce.factor().compareTo(BigDecimal.ONE) == 0
            ? EXAMPLE_FACTOR
            : inForce.factor();
    IntervalPolicy policy = new IntervalPolicy(school, factor, inForce.calendarLimit());
    int occurrences = 0;
    Quantity litres = Quantity.zero(Measure.LITRES);
    Quantity pieces = Quantity.zero(Measure.PIECES);
    for (UnitPlan plan : loader.pictureUnder(policy).plans(today.plusWeeks(WEEKS))) {
      occurrences += plan.occurrences().size();
      for (Occurrence occurrence : plan.occurrences()) {
        for (TakeLine line : take(plan, occurrence)) {
          boolean fluid = line.expected().measure() == Measure.LITRES;
          litres = fluid ? litres.plus(line.expected()) : litres;
          pieces = fluid ? pieces : pieces.plus(line.expected());
        }
      }
    }
    return new SetupView.School(
        school.name(),
        school.words() + (shortened ? " of " + PlainDecimal.of(factor) : ""),
        occurrences,
        whole(litres) + " L",
        whole(pieces),
        school == inForce.school());
  }

  private static List<TakeLine> take(UnitPlan plan, Occurrence occurrence) {
    return ServiceTake.of(
            plan.needs(), occurrence.tasks().stream().map(Occurrence.OccurrenceTask::task).toList())
        .lines();
  }

  private static String whole(Quantity quantity) {
    return String.format(
        Locale.ROOT, "%,d", quantity.amount().setScale(0, RoundingMode.HALF_UP).longValue());
  }

  private static SetupView.Fills fills(FillPolicy policy) {
    return new SetupView.Fills(
        PlainDecimal.of(policy.handlingLoss().movePointRight(2)),
        PlainDecimal.of(policy.holdBack().movePointRight(2)),
        policy.leastHoldBack().exactText(),
        policy.jug().exactText());
  }

  /** Sets how every fill of this store is reckoned and poured. */
  @Allowed.ToKeepStore
  public Outcome pour(Sent sent, SetupView.Fills form) {
    return once.run(
        sent,
        session -> {
          Typed typed = new Typed();
          Optional<BigDecimal> loss =
              percent(
                  typed,
                  "handlingLoss",
                  "The handling loss in %",
                  form.handlingLoss(),
                  FillPolicy.MOST_LOSS);
          Optional<BigDecimal> share =
              percent(
                  typed,
                  "holdBack",
                  "The hold-back in %",
                  form.holdBack(),
                  FillPolicy.MOST_HOLD_BACK);
          Optional<Volume> least =
              litres(
                  typed,
                  "leastHoldBack",
                  "The least hold-back in L",
                  form.leastHoldBack(),
                  Volume.ZERO,
                  FillPolicy.MOST_LEAST);
          Optional<Volume> jug =
              litres(
                  typed,
                  "jug",
                  "The jug's graduation in L",
                  form.jug(),
                  FillPolicy.FINEST_JUG,
                  FillPolicy.COARSEST_JUG);
          if (!typed.problems().isEmpty()) {
            return new Outcome.Refused(typed.problems());
          }
          FillPolicy before = session.settings().fillPolicy();
          FillPolicy policy =
              new FillPolicy(
                  loss.orElseThrow(), share.orElseThrow(), least.orElseThrow(), jug.orElseThrow());
          session.settings().set(policy);
          session
              .audit()
              .add(
                  "setting",
                  1,
                  new AuditLog.Line(
                      "how a fill is poured",
                      words(before),
                      words(policy),
                      sent.actor(),
                      clock.now()));
          return new Outcome.Done("/setup");
        });
  }

  private static Optional<BigDecimal> percent(
      Typed typed, String field, String what, String text, BigDecimal most) {
    return typed
        .decimalBetween(field, what, text, BigDecimal.ZERO, most.movePointRight(2), 2)
        .map(percent -> percent.movePointLeft(2));
  }

  private static Optional<Volume> litres(
      Typed typed, String field, String what, String text, Volume least, Volume most) {
    return typed
        .decimalBetween(field, what, text, least.litres(), most.litres(), 3)
        .map(Volume::ofLitres);
  }

  private static String words(FillPolicy policy) {
    SetupView.Fills fills = fills(policy);
    return fills.handlingLoss()
        + " % loss, "
        + fills.holdBack()
        + " % and at least "
        + policy.leastHoldBack().display()
        + " held back, jug of "
        + policy.jug().display();
  }

  /** Chooses a school for the whole store. */
  @Allowed.ToKeepStore
  public Outcome choose(Sent sent, SchoolForm form) {
    return once.run(
        sent,
        session -> {
          Typed typed = new Typed();
          Optional<IntervalPolicy.School> school =
              Arrays.stream(IntervalPolicy.School.values())
                  .filter(s -> s.name().equals(form.school()))
                  .findFirst();
          if (school.isEmpty()) {
            typed.refuse("school", "Choose a school of intervals.");
          }
          Optional<BigDecimal> factor =
              form.factor().isBlank()
                  ? Optional.of(BigDecimal.ONE)
                  : typed.decimalUpTo("factor", "The factor", form.factor(), BigDecimal.ONE);
          if (factor.filter(f -> f.compareTo(LEAST_FACTOR) < 0).isPresent()) {
            typed.refuse("factor", "The factor is " + form.factor() + "; allowed is 0.1 to 1.");
          }
          if (!typed.problems().isEmpty()) {
            return new Outcome.Refused(typed.problems());
          }
          IntervalPolicy before = session.settings().intervalPolicy();
          IntervalPolicy policy =
              new IntervalPolicy(school.orElseThrow(), factor.orElseThrow(), form.calendarLimit());
          session.settings().set(policy);
          session
              .audit()
              .add(
                  "setting",
                  1,
                  new AuditLog.Line(
                      "school of intervals",
                      SchoolWording.of(before),
                      SchoolWording.of(policy),
                      sent.actor(),
                      clock.now()));
          return new Outcome.Done("/setup");
        });
  }
}

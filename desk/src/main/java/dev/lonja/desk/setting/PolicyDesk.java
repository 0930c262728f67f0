package dev.lonja.desk.setting;

import dev.lonja.core.forecast.UnitPlan;
import dev.lonja.core.pour.FillPolicy;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.IntervalPolicy;
import dev.lonja.core.service.Occurrence;
import dev.lonja.core.service.ServiceTake;
import dev.lonja.core.service.TakeLine;
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
import org.springframework.stereotype.Service;

/** The store's policies, each with what it takes in the forecast. */
@Service
@Allowed.ToSeeStore
public class PolicyDesk extends KeepersDesk {

  /** How far ahead the schools are compared. */
  public static final int WEEKS = 52;

  private static final BigDecimal EXAMPLE_FACTOR = new BigDecimal("0.8");

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public PolicyDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** The policies in force, and what each school of intervals would take. */
  public record Policies(IntervalPolicy intervals, FillPolicy fills, List<Outlook> schools) {}

  /** What a school would take in the weeks looked at. */
  public record Outlook(IntervalPolicy policy, int occurrences, Quantity litres, Quantity pieces) {}

  public Policies policies() {
    return store.read(
        session -> {
          IntervalPolicy inForce = session.settings().intervalPolicy();
          FleetPicture fleet = FleetPicture.load(session, clock.today());
          return new Policies(
              inForce,
              session.settings().fillPolicy(),
              Arrays.stream(IntervalPolicy.School.values())
                  .map(school -> example(school, inForce))
                  .map(policy -> fleet.derived(Outlook.class, policy, () -> outlook(fleet, policy)))
                  .toList());
        });
  }

  /** A school with the factor in force, or one that shows what shortening does. */
  private static IntervalPolicy example(IntervalPolicy.School school, IntervalPolicy inForce) {
    boolean idle =
        school == IntervalPolicy.School.SHORTENED
            && inForce.factor().compareTo(BigDecimal.ONE) == 0;
    return new IntervalPolicy(
        school, idle ? EXAMPLE_FACTOR : inForce.factor(), inForce.calendarLimit());
  }

  private Outlook outlook(FleetPicture fleet, IntervalPolicy policy) {
    int occurrences = 0;
    Quantity litres = Quantity.zero(Measure.LITRES);
    Quantity pieces = Quantity.zero(Measure.PIECES);
    for (UnitPlan plan : fleet.under(policy).plans(clock.today().plusWeeks(WEEKS))) {
      occurrences += plan.occurrences().size();
      for (Occurrence occurrence : plan.occurrences()) {
        for (TakeLine line : take(plan, occurrence)) {
          boolean fluid = line.expected().measure() == Measure.LITRES;
          litres = fluid ? litres.plus(line.expected()) : litres;
          pieces = fluid ? pieces : pieces.plus(line.expected());
        }
      }
    }
    return new Outlook(policy, occurrences, litres, pieces);
  }

  private static List<TakeLine> take(UnitPlan plan, Occurrence occurrence) {
    return ServiceTake.of(
            plan.needs(), occurrence.tasks().stream().map(Occurrence.OccurrenceTask::task).toList())
        .lines();
  }

  /** Sets how every fill of this store is reckoned and poured. */
  @Allowed.ToKeepStore
  public Outcome pour(Sent sent, FillPolicy policy) {
    return once.run(
        sent,
        session -> {
          FillPolicy before = session.settings().fillPolicy();
          session.settings().set(policy);
          audit(session, sent, facts(before), facts(policy));
          return Outcome.done();
        });
  }

  private static Facts facts(FillPolicy policy) {
    return Facts.of("handling_loss", PlainDecimal.of(policy.handlingLoss()))
        .with("hold_back", PlainDecimal.of(policy.holdBack()))
        .with("least_hold_back_l", policy.leastHoldBack().exactText())
        .with("jug_l", policy.jug().exactText());
  }

  /** Chooses a school for the whole store. */
  @Allowed.ToKeepStore
  public Outcome choose(Sent sent, IntervalPolicy policy) {
    return once.run(
        sent,
        session -> {
          IntervalPolicy before = session.settings().intervalPolicy();
          session.settings().set(policy);
          audit(session, sent, facts(before), facts(policy));
          return Outcome.done();
        });
  }

  private static Facts facts(IntervalPolicy policy) {
    return Facts.of("interval_school", policy.school())
        .with("interval_factor", PlainDecimal.of(policy.factor()))
        .with("calendar_limit", policy.calendarLimit());
  }

  private void audit(Session session, Sent sent, Facts before, Facts after) {
    session.audit().add(sent.line(clock.now(), Matter.POLICY, "", Deed.EDITED, before, after));
  }
}

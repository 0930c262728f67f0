package dev.lonja.core.service;

import dev.lonja.core.policy.InForce;
import dev.lonja.core.policy.Question;
import dev.lonja.core.policy.School;
import dev.lonja.core.policy.UnitPolicies;
import java.math.BigDecimal;
import java.util.Optional;

/**
 * The school of service intervals that holds for a machine.
 *
 * @param interval how the maker's interval is used
 * @param calendar whether months count beside a meter; tasks without a meter keep theirs
 */
public record IntervalPolicy(InForce interval, InForce calendar) {

  public IntervalPolicy {
    if (interval.choice().question() != Question.SERVICE_INTERVAL
        || calendar.choice().question() != Question.CALENDAR_LIMIT) {
      throw new IllegalArgumentException(
          "interval is " + interval + ", calendar " + calendar + "; allowed are their own schools");
    }
  }

  /** What the policies say of a machine. */
  public static IntervalPolicy of(UnitPolicies policies) {
    return new IntervalPolicy(
        policies.of(Question.SERVICE_INTERVAL), policies.of(Question.CALENDAR_LIMIT));
  }

  /** The task as it is done on the machine; one without an interval is left as it is. */
  public Task applyTo(Task task) {
    return task.byInterval().map(timed -> task.withTiming(inForce(timed))).orElse(task);
  }

  private Timing.ByInterval inForce(Timing.ByInterval maker) {
    Severity severity =
        switch (interval.school()) {
          case SHORTENED -> shortened(interval.choice().number().orElseThrow());
          case BY_SEVERITY -> maker.severity();
          default -> Severity.NONE;
        };
    if (calendar.is(School.WITH_CALENDAR_LIMIT) || maker.regular().run().isEmpty()) {
      return maker.with(maker.regular(), maker.first(), severity);
    }
    // it counts by its meter alone, so that an interval of months alone says nothing any more
    return new Timing.ByInterval(
        maker.meterId(),
        withoutMonths(maker.regular()).orElseThrow(),
        maker.first().flatMap(IntervalPolicy::withoutMonths),
        severity,
        maker.byFluid().stream()
            .flatMap(
                entry ->
                    withoutMonths(entry.interval())
                        .map(left -> new Timing.FluidInterval(entry.fluidClass(), left))
                        .stream())
            .toList(),
        maker.fluid());
  }

  private Severity shortened(BigDecimal factor) {
    return factor.compareTo(BigDecimal.ONE) < 0
        ? new Severity(factor, interval.level().words())
        : Severity.NONE;
  }

  /** Empty if nothing is left of it. */
  private static Optional<Interval> withoutMonths(Interval interval) {
    return interval.run().map(run -> new Interval(Optional.of(run), Optional.empty()));
  }
}

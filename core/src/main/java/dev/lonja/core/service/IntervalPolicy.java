package dev.lonja.core.service;

import java.math.BigDecimal;
import java.util.Optional;

/**
 * The store's school of service intervals.
 *
 * @param factor of the shortened school, above 0 and up to 1
 * @param calendarLimit whether months count beside a meter; tasks without a meter keep theirs
 */
public record IntervalPolicy(School school, BigDecimal factor, boolean calendarLimit) {

  /** How a maker's interval is used. */
  public enum School {
    /** As the maker states it. */
    MAKER("maker's full interval"),
    /** Every meter interval shortened by one factor. */
    SHORTENED("shortened by a factor"),
    /** Shortened where dust, heat or heavy duty ask for it, by each task's own factor. */
    SEVERITY("by severity");

    private final String words;

    School(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** The maker's interval with its calendar limit. */
  public static final IntervalPolicy DEFAULT =
      new IntervalPolicy(School.MAKER, BigDecimal.ONE, true);

  private static final String REASON = "the store's school";

  public IntervalPolicy {
    if (!(factor.signum() > 0 && factor.compareTo(BigDecimal.ONE) <= 0)) {
      throw new IllegalArgumentException("factor is " + factor + "; allowed is above 0, up to 1");
    }
  }

  /** The task as this store does it; one without an interval is left as it is. */
  public Task applyTo(Task task) {
    return task.byInterval().map(timed -> task.withTiming(inForce(timed))).orElse(task);
  }

  private Timing.ByInterval inForce(Timing.ByInterval maker) {
    Severity severity =
        switch (school) {
          case MAKER -> Severity.NONE;
          case SHORTENED ->
              factor.compareTo(BigDecimal.ONE) < 0 ? new Severity(factor, REASON) : Severity.NONE;
          case SEVERITY -> maker.severity();
        };
    if (calendarLimit || maker.regular().run().isEmpty()) {
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

  /** Empty if nothing is left of it. */
  private static Optional<Interval> withoutMonths(Interval interval) {
    return interval.run().map(run -> new Interval(Optional.of(run), Optional.empty()));
  }
}

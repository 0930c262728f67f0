package dev.lonja.core.service;

import dev.lonja.core.quantity.MeterSpan;
import java.util.Optional;

/**
 * A line of a service with its own interval.
 *
 * @param meterId the meter that counts for it; present exactly if the regular interval has a span
 * @param first the running-in interval, where there is one
 * @param severity shortens the meter span; it leaves the calendar alone
 */
public record Task(
    long id,
    String serviceName,
    String name,
    Action action,
    Optional<Long> meterId,
    Interval regular,
    Optional<Interval> first,
    Severity severity) {

  /** What is done to what. */
  public sealed interface Action {
    /** Drains and fills a compartment. */
    record ChangeFluid(long compartmentId) implements Action {}

    /** Replaces the part at a position. */
    record Replace(long positionId) implements Action {}

    /** Looks at the part at a position and replaces it if need be. */
    record Inspect(long positionId) implements Action {}
  }

  public Task {
    if (meterId.isPresent() != regular.run().isPresent()) {
      throw new IllegalArgumentException(
          "meterId is " + meterId + "; allowed is one exactly if the interval has a span");
    }
  }

  /** The position it works on, if it is not a change of fluid. */
  Optional<Long> positionId() {
    if (action instanceof Action.Replace replace) {
      return Optional.of(replace.positionId());
    }
    return action instanceof Action.Inspect inspect
        ? Optional.of(inspect.positionId())
        : Optional.empty();
  }

  /** This task with another regular interval, without a first one and without severity. */
  Task withInterval(Interval interval) {
    return new Task(
        id,
        serviceName,
        name,
        action,
        interval.run().flatMap(run -> meterId),
        interval,
        Optional.empty(),
        Severity.NONE);
  }

  /** The interval in force: the first one until the task has been done once. */
  Interval interval(boolean doneBefore) {
    return doneBefore ? regular : first.map(early -> early.orElse(regular)).orElse(regular);
  }

  /** The meter span of {@code interval} as shortened by the severity, rounded to a tenth. */
  Optional<MeterSpan> spanInForce(Interval interval) {
    return interval.run().map(span -> span.times(severity.factor()));
  }
}

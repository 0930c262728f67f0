package dev.lonja.core.service;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.inspection.ReplacementOdds;
import dev.lonja.core.inspection.ReplacementTurn;
import dev.lonja.core.meter.MeterId;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** A line of a service, with when it comes round. */
public record Task(TaskId id, String serviceName, String name, Action action, Timing timing) {

  /** What is done to what. */
  public sealed interface Action {
    /** Drains and fills a compartment. */
    record ChangeFluid(CompartmentId compartmentId) implements Action {}

    /** Replaces the part at a position. */
    record Replace(PositionId positionId) implements Action {}

    /** Looks at the part at a position and replaces it if need be. */
    record Inspect(PositionId positionId, ReplacementOdds odds) implements Action {}
  }

  /** The meter it counts by, if it does. */
  public Optional<MeterId> meterId() {
    return byInterval().flatMap(Timing.ByInterval::meterId);
  }

  /** Its timing if that is an interval. */
  public Optional<Timing.ByInterval> byInterval() {
    return timing instanceof Timing.ByInterval interval ? Optional.of(interval) : Optional.empty();
  }

  /** The position it works on, if it is not a change of fluid. */
  public Optional<PositionId> positionId() {
    if (action instanceof Action.Replace replace) {
      return Optional.of(replace.positionId());
    }
    return action instanceof Action.Inspect inspect
        ? Optional.of(inspect.positionId())
        : Optional.empty();
  }

  /** This task with its turn, if it has one, changed. */
  Task withTurn(UnaryOperator<ReplacementTurn> change) {
    return action instanceof Action.Inspect inspect
            && inspect.odds() instanceof ReplacementTurn turn
        ? withAction(new Action.Inspect(inspect.positionId(), change.apply(turn)))
        : this;
  }

  Task withTiming(Timing other) {
    return new Task(id, serviceName, name, action, other);
  }

  Task withAction(Action other) {
    return new Task(id, serviceName, name, other, timing);
  }

  /** This task with an interval stated for its unit, which takes the place of all others. */
  Task withInterval(Interval interval) {
    return byInterval().map(timed -> withTiming(timed.statedAs(interval))).orElse(this);
  }
}

package dev.lonja.core.service;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.inspection.ReplacementOdds;
import dev.lonja.core.inspection.ReplacementTurn;
import dev.lonja.core.inspection.ValueLimits;
import dev.lonja.core.meter.MeterId;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * A line of a service, with when it comes round.
 *
 * @param steps what to mind in the work, such as how the machine's own interval is reset; may be
 *     empty
 * @param hazards codes of the store's hazard texts that go with it, beside those of its fluid
 */
public record Task(
    TaskId id,
    String serviceName,
    String name,
    Action action,
    Timing timing,
    String steps,
    List<String> hazards) {

  public Task {
    hazards = List.copyOf(hazards);
  }

  /** One in which there is nothing to mind. */
  public Task(TaskId id, String serviceName, String name, Action action, Timing timing) {
    this(id, serviceName, name, action, timing, "", List.of());
  }

  /** What is done to what. */
  public sealed interface Action {
    /** Drains and fills a compartment. */
    record ChangeFluid(CompartmentId compartmentId) implements Action {}

    /** Replaces the part at a position. */
    record Replace(PositionId positionId) implements Action {}

    /**
     * Looks at the part at a position and replaces it if need be.
     *
     * @param limits of the value that is asked for, if one is
     */
    record Inspect(PositionId positionId, ReplacementOdds odds, Optional<ValueLimits> limits)
        implements Action {

      /** One that asks for no value. */
      public Inspect(PositionId positionId, ReplacementOdds odds) {
        this(positionId, odds, Optional.empty());
      }

      /** The same at other odds. */
      public Inspect at(ReplacementOdds other) {
        return new Inspect(positionId, other, limits);
      }
    }

    /**
     * Looks at the fluid of a compartment, without draining it.
     *
     * @param limits of the value that is asked for, if one is
     */
    record InspectFluid(CompartmentId compartmentId, Optional<ValueLimits> limits)
        implements Action {}
  }

  /** The meter it counts by, if it does. */
  public Optional<MeterId> meterId() {
    return byInterval().flatMap(Timing.ByInterval::meterId);
  }

  /** The same for another machine, by whose meters it counts. */
  public Task countingBy(UnaryOperator<MeterId> other) {
    return byInterval()
        .filter(interval -> interval.meterId().isPresent())
        .map(
            interval ->
                new Task(
                    id,
                    serviceName,
                    name,
                    action,
                    new Timing.ByInterval(
                        interval.meterId().map(other),
                        interval.regular(),
                        interval.first(),
                        interval.severity(),
                        interval.byFluid(),
                        interval.fluid()),
                    steps,
                    hazards))
        .orElse(this);
  }

  /** Its timing if that is an interval. */
  public Optional<Timing.ByInterval> byInterval() {
    return timing instanceof Timing.ByInterval interval ? Optional.of(interval) : Optional.empty();
  }

  /** True if what it finds is asked for. */
  public boolean inspects() {
    return action instanceof Action.Inspect || action instanceof Action.InspectFluid;
  }

  /** Between what the value it asks for is sound; empty if it asks for none. */
  public Optional<ValueLimits> limits() {
    if (action instanceof Action.Inspect inspect) {
      return inspect.limits();
    }
    return action instanceof Action.InspectFluid inspect ? inspect.limits() : Optional.empty();
  }

  /** The compartment whose fluid it changes or looks at. */
  public Optional<CompartmentId> compartmentId() {
    if (action instanceof Action.ChangeFluid change) {
      return Optional.of(change.compartmentId());
    }
    return action instanceof Action.InspectFluid inspect
        ? Optional.of(inspect.compartmentId())
        : Optional.empty();
  }

  /** The position it works on, if it is about no fluid. */
  public Optional<PositionId> positionId() {
    if (action instanceof Action.Replace replace) {
      return Optional.of(replace.positionId());
    }
    return action instanceof Action.Inspect inspect
        ? Optional.of(inspect.positionId())
        : Optional.empty();
  }

  /** This task with its turn, if it has one, changed. */
  public Task withTurn(UnaryOperator<ReplacementTurn> change) {
    return action instanceof Action.Inspect inspect
            && inspect.odds() instanceof ReplacementTurn turn
        ? withAction(inspect.at(change.apply(turn)))
        : this;
  }

  Task withTiming(Timing other) {
    return new Task(id, serviceName, name, action, other, steps, hazards);
  }

  Task withAction(Action other) {
    return new Task(id, serviceName, name, other, timing, steps, hazards);
  }

  /** This task with an interval stated for its unit, which takes the place of all others. */
  Task withInterval(Interval interval) {
    return byInterval().map(timed -> withTiming(timed.statedAs(interval))).orElse(this);
  }
}

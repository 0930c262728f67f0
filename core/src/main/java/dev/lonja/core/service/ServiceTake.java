package dev.lonja.core.service;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Works out what the tasks of one occurrence take: capacity in the condition that the occurrence
 * brings about plus the store's handling loss; every drain seal of a drained compartment new; parts
 * to inspect at the chance that their class's inspections give.
 */
public final class ServiceTake {

  private final UnitNeeds needs;
  private final List<Task> tasks;
  private final List<TakeLine> lines = new ArrayList<>();
  private final List<Take.Gap> gaps = new ArrayList<>();

  private ServiceTake(UnitNeeds needs, List<Task> tasks) {
    this.needs = needs;
    this.tasks = tasks;
  }

  /** What {@code tasks} take when they are done together on the unit with these {@code needs}. */
  public static Take of(UnitNeeds needs, List<Task> tasks) {
    Take all = withoutBoxes(needs, tasks);
    return new Take(needs.boxes().without(all.lines()), all.gaps());
  }

  /** The same as if every part came with nothing else in its box. */
  public static Take withoutBoxes(UnitNeeds needs, List<Task> tasks) {
    ServiceTake take = new ServiceTake(needs, tasks);
    tasks.forEach(take::add);
    return new Take(take.lines, take.gaps);
  }

  private void add(Task task) {
    if (task.action() instanceof Task.Action.ChangeFluid change) {
      Compartment compartment = needs.compartment(change.compartmentId());
      addFill(task, compartment);
      addSeals(task, compartment);
    } else if (task.action() instanceof Task.Action.Replace replace) {
      Position position = needs.position(replace.positionId());
      addPart(task, position, BigDecimal.ONE, new TakeLine.Reason.Part(position.note()));
    } else if (task.action() instanceof Task.Action.Inspect inspect) {
      if (isReplaced(inspect.positionId())) {
        return;
      }
      Position position = needs.position(inspect.positionId());
      addPart(
          task,
          position,
          inspect.chance().value(),
          new TakeLine.Reason.OnInspection(inspect.chance(), position.note()));
    }
  }

  /** True if another task of the occurrence replaces what is there, so that nobody inspects it. */
  private boolean isReplaced(PositionId position) {
    return tasks.stream().anyMatch(task -> task.action().equals(new Task.Action.Replace(position)));
  }

  private void addFill(Task task, Compartment compartment) {
    if (compartment.itemId().isEmpty()) {
      gaps.add(new Take.Gap.NoItem(compartment.name()));
      return;
    }
    Optional<Fill> fill = fill(compartment);
    if (fill.isEmpty()) {
      gaps.add(new Take.Gap.NoCapacity(compartment.name()));
      return;
    }
    Volume capacity = fill.get().capacity();
    TakeLine.Reason reason =
        new TakeLine.Reason.Fill(
            fill.get().condition(),
            filterChanged(compartment).isPresent()
                ? FillCondition.WITH_FILTER
                : FillCondition.WITHOUT_FILTER,
            capacity,
            fill.get().filterVolume(),
            needs.fills().handlingLoss(),
            needs.fills().firstPour(capacity));
    Quantity toLay = Quantity.of(capacity);
    Quantity expected = toLay.times(BigDecimal.ONE.add(needs.fills().handlingLoss()));
    lines.add(
        new TakeLine(
            task.id(),
            compartment.itemId().get(),
            compartment.name(),
            Destination.compartment(compartment.id()),
            expected,
            toLay,
            reason));
  }

  private void addSeals(Task task, Compartment compartment) {
    for (Position position : needs.positions()) {
      if (position.kind() == Position.Kind.DRAIN_SEAL && position.belongsTo(compartment)) {
        addPart(
            task,
            position,
            BigDecimal.ONE,
            new TakeLine.Reason.NewSeal(compartment.name(), position.note()));
      }
    }
  }

  private void addPart(Task task, Position position, BigDecimal chance, TakeLine.Reason reason) {
    if (position.itemId().isEmpty()) {
      gaps.add(new Take.Gap.NoItem(position.name()));
      return;
    }
    Quantity whole = Quantity.pieces(position.quantity());
    lines.add(
        new TakeLine(
            task.id(),
            position.itemId().get(),
            position.name(),
            Destination.position(position.id()),
            whole.times(chance),
            whole,
            reason));
  }

  private record Fill(FillCondition condition, Volume capacity, Optional<Volume> filterVolume) {}

  private Optional<Fill> fill(Compartment compartment) {
    Optional<Position> filter = filterChanged(compartment);
    Optional<Volume> without = compartment.capacity(FillCondition.WITHOUT_FILTER);
    if (filter.isEmpty()) {
      return without
          .map(v -> new Fill(FillCondition.WITHOUT_FILTER, v, Optional.empty()))
          .or(
              () ->
                  compartment
                      .capacity(FillCondition.WITH_FILTER)
                      .map(v -> filterStays(compartment, v)));
    }
    return compartment
        .capacity(FillCondition.WITH_FILTER)
        .map(v -> new Fill(FillCondition.WITH_FILTER, v, Optional.empty()))
        .or(() -> without.map(v -> withFilterVolume(v, filter.get())));
  }

  private Fill withFilterVolume(Volume without, Position filter) {
    if (filter.filterVolume().isEmpty()) {
      gaps.add(new Take.Gap.FilterVolumeUnknown(filter.name()));
    }
    Volume capacity = without.plus(filter.filterVolume().orElse(Volume.ZERO));
    return new Fill(FillCondition.WITHOUT_FILTER, capacity, filter.filterVolume());
  }

  /** The filter stays, but only what goes in with a new one is on file. */
  private Fill filterStays(Compartment compartment, Volume withFilter) {
    gaps.add(new Take.Gap.FilterStays(compartment.name()));
    return new Fill(FillCondition.WITH_FILTER, withFilter, Optional.empty());
  }

  private Optional<Position> filterChanged(Compartment compartment) {
    return tasks.stream()
        .map(Task::action)
        .filter(Task.Action.Replace.class::isInstance)
        .map(action -> needs.position(((Task.Action.Replace) action).positionId()))
        .filter(position -> position.kind().holdsCompartmentFluid())
        .filter(position -> position.belongsTo(compartment))
        .findFirst();
  }
}

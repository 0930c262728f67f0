package dev.lonja.core.service;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/**
 * What one unit is made of and what is done to it: its variant's data with the unit's deviations
 * applied. With a compartment its positions and tasks are absent too, with a position its tasks,
 * and with a task those that it leads.
 *
 * @param needs compartments and positions that the unit has
 * @param tasks that are done on it
 * @param deviations in order of entry, for people to see where a value comes from
 */
public record UnitFile(UnitNeeds needs, List<Task> tasks, List<Deviation> deviations) {

  public UnitFile {
    tasks = List.copyOf(tasks);
    deviations = List.copyOf(deviations);
  }

  /** Costs deviations × (compartments + positions + tasks) of one variant. */
  public static UnitFile of(
      UnitNeeds variantNeeds, List<Task> variantTasks, List<Deviation> deviations) {
    List<Compartment> compartments = new ArrayList<>(variantNeeds.compartments());
    List<Position> positions = new ArrayList<>(variantNeeds.positions());
    List<Task> tasks = new ArrayList<>(variantTasks);
    for (Deviation deviation : deviations) {
      apply(deviation.change(), compartments, positions, tasks);
    }
    removeTasksWithoutLead(tasks);
    UnitNeeds needs = new UnitNeeds(compartments, positions, variantNeeds.boxes());
    return new UnitFile(needs, tasks, deviations);
  }

  private static void apply(
      Deviation.Change change,
      List<Compartment> compartments,
      List<Position> positions,
      List<Task> tasks) {
    if (change instanceof Deviation.Change.NoCompartment none) {
      removeCompartment(none.compartmentId(), compartments, positions, tasks);
    } else if (change instanceof Deviation.Change.NoPosition none) {
      removePosition(none.positionId(), positions, tasks);
    } else if (change instanceof Deviation.Change.NoTask none) {
      tasks.removeIf(task -> task.id().equals(none.taskId()));
    } else if (change instanceof Deviation.Change.OtherInterval other) {
      tasks.replaceAll(
          task -> task.id().equals(other.taskId()) ? task.withInterval(other.interval()) : task);
    } else if (change instanceof Deviation.Change.OtherFluid other) {
      changeCompartment(compartments, other.compartmentId(), c -> c.withItem(other.itemId()));
    } else if (change instanceof Deviation.Change.OtherCapacity other) {
      changeCompartment(
          compartments,
          other.compartmentId(),
          c -> c.withCapacity(other.condition(), other.volume()));
    } else if (change instanceof Deviation.Change.OtherPart other) {
      changePosition(
          positions, other.positionId(), p -> p.withItem(other.itemId(), other.filterVolume()));
    } else if (change instanceof Deviation.Change.OtherTorque other) {
      changePosition(positions, other.positionId(), p -> p.withTorque(other.torque()));
    }
  }

  private static void removeTasksWithoutLead(List<Task> tasks) {
    Set<TaskId> present = tasks.stream().map(Task::id).collect(Collectors.toSet());
    tasks.removeIf(
        task ->
            task.timing() instanceof Timing.EveryNth every
                && !present.contains(every.leadTaskId()));
  }

  private static void removeCompartment(
      CompartmentId id,
      List<Compartment> compartments,
      List<Position> positions,
      List<Task> tasks) {
    compartments.removeIf(compartment -> compartment.id().equals(id));
    List<PositionId> within =
        positions.stream()
            .filter(position -> position.compartmentId().equals(Optional.of(id)))
            .map(Position::id)
            .toList();
    within.forEach(position -> removePosition(position, positions, tasks));
    tasks.removeIf(
        task ->
            task.action() instanceof Task.Action.ChangeFluid change
                && change.compartmentId().equals(id));
  }

  private static void removePosition(PositionId id, List<Position> positions, List<Task> tasks) {
    positions.removeIf(position -> position.id().equals(id));
    tasks.removeIf(task -> task.positionId().equals(Optional.of(id)));
  }

  private static void changeCompartment(
      List<Compartment> compartments, CompartmentId id, UnaryOperator<Compartment> change) {
    compartments.replaceAll(c -> c.id().equals(id) ? change.apply(c) : c);
  }

  private static void changePosition(
      List<Position> positions, PositionId id, UnaryOperator<Position> change) {
    positions.replaceAll(p -> p.id().equals(id) ? change.apply(p) : p);
  }
}

package dev.lonja.core.service;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterStanding;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/**
 * What one unit is made of and what is done to it: its variant's data with the unit's deviations
 * applied, and then its policies. With a compartment its positions and tasks are absent too, with a
 * position its tasks, and with a task those that it leads.
 *
 * @param needs compartments and positions that the unit has
 * @param tasks that are done on it
 * @param deviations in order of entry, for people to see where a value comes from
 */
public record UnitFile(UnitNeeds needs, List<Task> tasks, List<Deviation> deviations) {

  /** The change as it is made to the lists of a variant's things. */
  private static final Cases<Deviation.Change, Consumer<Lists>> CHANGES =
      Cases.<Deviation.Change, Consumer<Lists>>over(Deviation.Change.class)
          .when(
              Deviation.Change.NoCompartment.class,
              none -> lists -> lists.removeCompartment(none.compartmentId()))
          .when(
              Deviation.Change.NoPosition.class,
              none -> lists -> lists.removePosition(none.positionId()))
          .when(Deviation.Change.NoTask.class, none -> lists -> lists.removeTask(none.taskId()))
          .when(
              Deviation.Change.OtherInterval.class,
              other ->
                  lists ->
                      lists.changeTask(other.taskId(), task -> task.withInterval(other.interval())))
          .when(
              Deviation.Change.OtherFluid.class,
              other ->
                  lists ->
                      lists.changeCompartment(
                          other.compartmentId(), c -> c.withItem(other.itemId())))
          .when(
              Deviation.Change.OtherCapacity.class,
              other ->
                  lists ->
                      lists.changeCompartment(
                          other.compartmentId(),
                          c -> c.withCapacity(other.condition(), other.capacity())))
          .when(
              Deviation.Change.OtherPart.class,
              other ->
                  lists ->
                      lists.changePosition(
                          other.positionId(),
                          p -> p.withItem(other.itemId(), other.filterVolume())))
          .when(
              Deviation.Change.OtherTorque.class,
              other ->
                  lists ->
                      lists.changePosition(other.positionId(), p -> p.withTorque(other.torque())))
          .all();

  public UnitFile {
    tasks = List.copyOf(tasks);
    deviations = List.copyOf(deviations);
  }

  /** Costs deviations × (compartments + positions + tasks) of one variant. */
  public static UnitFile of(
      UnitNeeds variantNeeds, List<Task> variantTasks, List<Deviation> deviations) {
    Lists lists =
        new Lists(
            new ArrayList<>(variantNeeds.compartments()),
            new ArrayList<>(variantNeeds.positions()),
            new ArrayList<>(variantTasks));
    deviations.forEach(deviation -> CHANGES.apply(deviation.change()).accept(lists));
    lists.removeTasksWithoutLead();
    UnitNeeds needs = variantNeeds.with(lists.compartments, lists.positions);
    Set<TaskId> stated =
        deviations.stream()
            .map(Deviation::change)
            .filter(Deviation.Change.OtherInterval.class::isInstance)
            .map(other -> ((Deviation.Change.OtherInterval) other).taskId())
            .collect(Collectors.toSet());
    return new UnitFile(needs, new PolicyTasks(needs, lists.tasks, stated).inForce(), deviations);
  }

  /**
   * Its tasks as they stand: with the interval that what is in the compartment picks, from when
   * they were last done, by the meters that count for them.
   *
   * @param meters of the unit; a task that counts by one that is missing is broken data and throws
   */
  public List<TaskStanding> standings(
      UnitFacts facts, UnitHistory history, Map<MeterId, MeterStanding> meters) {
    return tasks.stream()
        .map(task -> facts.applyTo(task, needs))
        .map(task -> history.standing(task, task.meterId().map(meters::get)))
        .toList();
  }

  /** A variant's things while they are made those of a unit. */
  private record Lists(List<Compartment> compartments, List<Position> positions, List<Task> tasks) {

    void removeCompartment(CompartmentId id) {
      compartments.removeIf(compartment -> compartment.id().equals(id));
      List<PositionId> within =
          positions.stream()
              .filter(position -> position.compartmentId().equals(Optional.of(id)))
              .map(Position::id)
              .toList();
      within.forEach(this::removePosition);
      tasks.removeIf(
          task ->
              task.action() instanceof Task.Action.ChangeFluid change
                  && change.compartmentId().equals(id));
    }

    void removePosition(PositionId id) {
      positions.removeIf(position -> position.id().equals(id));
      tasks.removeIf(task -> task.positionId().equals(Optional.of(id)));
    }

    void removeTask(TaskId id) {
      tasks.removeIf(task -> task.id().equals(id));
    }

    void removeTasksWithoutLead() {
      Set<TaskId> present = tasks.stream().map(Task::id).collect(Collectors.toSet());
      tasks.removeIf(
          task ->
              task.timing() instanceof Timing.EveryNth every
                  && !present.contains(every.leadTaskId()));
    }

    void changeCompartment(CompartmentId id, UnaryOperator<Compartment> change) {
      compartments.replaceAll(c -> c.id().equals(id) ? change.apply(c) : c);
    }

    void changePosition(PositionId id, UnaryOperator<Position> change) {
      positions.replaceAll(p -> p.id().equals(id) ? change.apply(p) : p);
    }

    void changeTask(TaskId id, UnaryOperator<Task> change) {
      tasks.replaceAll(t -> t.id().equals(id) ? change.apply(t) : t);
    }
  }
}

package dev.lonja.core.tray;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.service.Task;
import java.util.List;
import java.util.stream.Stream;

/**
 * What the tasks of a tray touch on a machine: the compartments that are drained, and the positions
 * that are opened with them or worked on.
 */
public record JobFacts(UnitNeeds needs, List<Task> tasks) {

  public JobFacts {
    tasks = List.copyOf(tasks);
  }

  /** The compartments whose fluid is changed, in order of the tasks. */
  public List<Compartment> drained() {
    return tasks.stream()
        .map(Task::action)
        .filter(Task.Action.ChangeFluid.class::isInstance)
        .map(action -> needs.compartment(((Task.Action.ChangeFluid) action).compartmentId()))
        .toList();
  }

  /**
   * The positions that somebody turns a tool at: those that a task names, and those that open a
   * compartment which is drained.
   */
  public List<Position> workedOn() {
    return needs.positions().stream().filter(this::isWorkedOn).toList();
  }

  private boolean isWorkedOn(Position position) {
    boolean opensDrained =
        position.kind().opensCompartment() && drained().stream().anyMatch(position::belongsTo);
    return opensDrained
        || tasks.stream()
            .anyMatch(task -> task.positionId().filter(position.id()::equals).isPresent());
  }

  /**
   * What may hurt in it, by the codes of the store's hazard texts, each once: of the draining, then
   * what is said of its tasks.
   */
  public List<String> hazards() {
    return Stream.concat(
            drained().stream().flatMap(it -> WorkHazards.whenDraining(it.kind()).stream()),
            tasks.stream().flatMap(task -> task.hazards().stream()))
        .distinct()
        .toList();
  }

  /** What turns the fasteners, each once, in order of the positions. */
  public List<String> drives() {
    return workedOn().stream()
        .map(Position::drive)
        .filter(drive -> !drive.isEmpty())
        .distinct()
        .toList();
  }
}

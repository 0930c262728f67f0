package dev.lonja.core.take;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * Works out what the tasks of one occurrence take: capacity in the condition that the occurrence
 * brings about plus the store's handling loss; drain seals, plugs and what is brought along in case
 * by the policies that hold for the machine; parts to inspect at the chance that their class's
 * inspections give. Each line names the policies that made it.
 */
public final class ServiceTake {

  private final UnitNeeds needs;
  private final List<TakeLine> lines = new ArrayList<>();
  private final List<Take.Gap> gaps = new ArrayList<>();
  private final FillTake fills;
  private final PartTake parts;
  private final Set<TaskId> neglected;

  private ServiceTake(UnitNeeds needs, List<Task> tasks, Set<TaskId> neglected) {
    this.needs = needs;
    this.neglected = neglected;
    this.fills = new FillTake(needs, tasks, lines, gaps);
    this.parts = new PartTake(needs, tasks, lines, gaps);
  }

  /**
   * What {@code tasks} take when they are done together on the unit with these {@code needs}.
   *
   * @param neglected those that were left for too long
   */
  public static Take of(UnitNeeds needs, List<Task> tasks, Set<TaskId> neglected) {
    Take all = withoutBoxes(needs, tasks, neglected);
    return new Take(BoxedLines.without(needs.shelf().boxes(), all.lines()), all.gaps());
  }

  /** The same of tasks of which none was neglected. */
  public static Take of(UnitNeeds needs, List<Task> tasks) {
    return of(needs, tasks, Set.of());
  }

  /** The same as if every part came with nothing else in its box. */
  public static Take withoutBoxes(UnitNeeds needs, List<Task> tasks) {
    return withoutBoxes(needs, tasks, Set.of());
  }

  private static Take withoutBoxes(UnitNeeds needs, List<Task> tasks, Set<TaskId> neglected) {
    ServiceTake take = new ServiceTake(needs, tasks, neglected);
    tasks.forEach(take::add);
    take.parts.addInsurance();
    return new Take(take.lines, take.gaps);
  }

  private void add(Task task) {
    if (task.action() instanceof Task.Action.ChangeFluid change) {
      Compartment compartment = needs.compartment(change.compartmentId());
      fills.addFlush(task, compartment, neglected.contains(task.id()));
      fills.add(task, compartment);
      parts.addSeals(task, compartment);
    } else if (task.action() instanceof Task.Action.Replace replace) {
      parts.addReplaced(task, needs.position(replace.positionId()));
    } else if (task.action() instanceof Task.Action.Inspect inspect) {
      parts.addInspected(task, inspect);
    }
  }
}

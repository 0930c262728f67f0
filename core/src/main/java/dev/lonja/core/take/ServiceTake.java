package dev.lonja.core.take;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.service.Task;
import java.util.ArrayList;
import java.util.List;

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

  private ServiceTake(UnitNeeds needs, List<Task> tasks) {
    this.needs = needs;
    this.fills = new FillTake(needs, tasks, lines, gaps);
    this.parts = new PartTake(needs, tasks, lines, gaps);
  }

  /** What {@code tasks} take when they are done together on the unit with these {@code needs}. */
  public static Take of(UnitNeeds needs, List<Task> tasks) {
    Take all = withoutBoxes(needs, tasks);
    return new Take(BoxedLines.without(needs.shelf().boxes(), all.lines()), all.gaps());
  }

  /** The same as if every part came with nothing else in its box. */
  public static Take withoutBoxes(UnitNeeds needs, List<Task> tasks) {
    ServiceTake take = new ServiceTake(needs, tasks);
    tasks.forEach(take::add);
    take.parts.addInsurance();
    return new Take(take.lines, take.gaps);
  }

  private void add(Task task) {
    if (task.action() instanceof Task.Action.ChangeFluid change) {
      Compartment compartment = needs.compartment(change.compartmentId());
      fills.add(task, compartment);
      parts.addSeals(task, compartment);
    } else if (task.action() instanceof Task.Action.Replace replace) {
      parts.addReplaced(task, needs.position(replace.positionId()));
    } else if (task.action() instanceof Task.Action.Inspect inspect) {
      parts.addInspected(task, inspect);
    }
  }
}

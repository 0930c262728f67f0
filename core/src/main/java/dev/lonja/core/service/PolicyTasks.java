package dev.lonja.core.service;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.inspection.ReplacementTurn;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.policy.InForce;
import dev.lonja.core.policy.Question;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The tasks of a machine as its policies have them: what is only looked at may be replaced every
 * time or every n-th time, what is replaced may be looked at first or come along with every oil
 * change. A replacement that the maker asks for by itself stays one, whatever the policy of what is
 * looked at.
 */
final class PolicyTasks {

  private final UnitNeeds needs;
  private final List<Task> tasks;
  private final Set<TaskId> stated;

  /**
   * @param stated tasks whose interval was stated for the machine, which overrides every policy
   */
  PolicyTasks(UnitNeeds needs, List<Task> tasks, Set<TaskId> stated) {
    this.needs = needs;
    this.tasks = tasks;
    this.stated = stated;
  }

  List<Task> inForce() {
    return tasks.stream()
        .map(task -> task.positionId().map(id -> at(task, needs.position(id))).orElse(task))
        .toList();
  }

  private Task at(Task task, Position position) {
    return switch (position.kind()) {
      case AIR_FILTER -> airFilter(task, position);
      case SPARK_PLUG, FUEL_FILTER -> plugOrFuelFilter(task, position);
      default -> task;
    };
  }

  private Task airFilter(Task task, Position position) {
    if (!(task.action() instanceof Task.Action.Inspect inspect)) {
      return task;
    }
    InForce way = needs.ways().policies().at(Question.AIR_FILTER, position);
    return switch (way.school()) {
      case EVERY_SERVICE -> task.withAction(new Task.Action.Replace(position.id()));
      case EVERY_NTH -> task.withAction(inspect.at(new ReplacementTurn(way.choice().count(), 0)));
      default -> task;
    };
  }

  private Task plugOrFuelFilter(Task task, Position position) {
    if (!(task.action() instanceof Task.Action.Replace)) {
      return task;
    }
    InForce way = needs.ways().policies().at(Question.PLUGS_AND_FUEL_FILTERS, position);
    return switch (way.school()) {
      case INSPECT_AND_REUSE ->
          task.withAction(new Task.Action.Inspect(position.id(), ReplacementChance.UNKNOWN));
      case WITH_EVERY_OIL_CHANGE ->
          stated.contains(task.id())
              ? task
              : oilChange(position)
                  .map(lead -> task.withTiming(new Timing.EveryNth(lead.id(), 1)))
                  .orElse(task);
      default -> task;
    };
  }

  /** The change of oil of the engine that the position is at, else of the machine's first. */
  private Optional<Task> oilChange(Position position) {
    return needs.compartments().stream()
        .filter(compartment -> compartment.kind().isEngine())
        .sorted(Comparator.comparing(engine -> !position.belongsTo(engine)))
        .flatMap(engine -> tasks.stream().filter(task -> changes(task, engine)))
        .findFirst();
  }

  private static boolean changes(Task task, Compartment engine) {
    return task.action().equals(new Task.Action.ChangeFluid(engine.id()))
        && !(task.timing() instanceof Timing.EveryNth);
  }
}

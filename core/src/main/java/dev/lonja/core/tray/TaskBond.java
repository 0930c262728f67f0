package dev.lonja.core.tray;

import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.service.Task;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Two tasks that stay on one tray: how much goes into a compartment depends on whether its filter
 * is changed with its fluid (rules §6), so that neither can be laid without knowing of the other.
 */
public record TaskBond(Task fluid, Task filter) {

  /**
   * A bond between these tasks and those; empty if they may go different ways.
   *
   * @param needs of the unit that they are done on
   */
  public static Optional<TaskBond> between(UnitNeeds needs, List<Task> some, List<Task> others) {
    return Stream.concat(bonds(needs, some, others), bonds(needs, others, some)).findFirst();
  }

  private static Stream<TaskBond> bonds(UnitNeeds needs, List<Task> fluids, List<Task> filters) {
    return fluids.stream()
        .flatMap(
            fluid ->
                filters.stream()
                    .filter(filter -> isBound(needs, fluid, filter))
                    .map(filter -> new TaskBond(fluid, filter)));
  }

  private static boolean isBound(UnitNeeds needs, Task fluid, Task filter) {
    return fluid.action() instanceof Task.Action.ChangeFluid change
        && filter.action() instanceof Task.Action.Replace replace
        && needs
            .knownPosition(replace.positionId())
            .filter(position -> position.kind().holdsCompartmentFluid())
            .filter(position -> position.belongsTo(needs.compartment(change.compartmentId())))
            .isPresent();
  }
}

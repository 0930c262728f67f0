package dev.lonja.desk.tray;

import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.service.DueRule;
import dev.lonja.core.service.Neglect;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.store.tray.Tray;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The machine that a tray is for, as far as the tray is concerned. The workshop's own supplies are
 * for a machine without parts, tasks and meters.
 *
 * @param needs what it is made of
 * @param tasks those of the tray, as they stand on the machine
 * @param neglected of the tasks, those that were left for too long
 * @param meters that the tasks count by, each once; all of the machine's where none is served
 */
public record TrayMachine(
    UnitNeeds needs, List<Task> tasks, Set<TaskId> neglected, List<MeterStanding> meters) {

  private static final TrayMachine WORKSHOP =
      new TrayMachine(UnitNeeds.NOTHING, List.of(), Set.of(), List.of());

  /** As it stands today. */
  public static TrayMachine of(FleetPicture fleet, Tray tray) {
    return tray.unitId()
        .map(
            unit -> {
              List<TaskStanding> standings =
                  fleet.tasks(unit).stream()
                      .filter(standing -> tray.taskIds().contains(standing.task().id()))
                      .toList();
              List<Task> tasks = standings.stream().map(TaskStanding::task).toList();
              return new TrayMachine(
                  fleet.needs(unit),
                  tasks,
                  neglected(fleet, standings),
                  meters(fleet, tray, tasks));
            })
        .orElse(WORKSHOP);
  }

  private static Set<TaskId> neglected(FleetPicture fleet, List<TaskStanding> standings) {
    return standings.stream()
        .map(standing -> DueRule.due(standing, fleet.today(), fleet.horizon()))
        .filter(Neglect::is)
        .map(due -> due.task().id())
        .collect(Collectors.toUnmodifiableSet());
  }

  private static List<MeterStanding> meters(FleetPicture fleet, Tray tray, List<Task> tasks) {
    return tray.taskIds().isEmpty()
        ? fleet.meters().values().stream()
            .filter(meter -> tray.isFor(meter.file().meter().unitId()))
            .toList()
        : tasks.stream()
            .flatMap(task -> task.meterId().stream())
            .distinct()
            .map(id -> fleet.meters().get(id))
            .toList();
  }

  /** True if what the meters show has to be said: a task counts by it. */
  public boolean countsByMeters() {
    return !tasks.isEmpty();
  }
}

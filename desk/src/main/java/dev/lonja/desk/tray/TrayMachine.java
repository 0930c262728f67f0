package dev.lonja.desk.tray;

import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.store.tray.Tray;
import java.util.List;

/**
 * The machine that a tray is for, as far as the tray is concerned. The workshop's own supplies are
 * for a machine without parts, tasks and meters.
 *
 * @param needs what it is made of
 * @param tasks those of the tray, as they stand on the machine
 * @param meters that the tasks count by, each once; all of the machine's where none is served
 */
record TrayMachine(UnitNeeds needs, List<Task> tasks, List<MeterStanding> meters) {

  private static final TrayMachine WORKSHOP =
      new TrayMachine(UnitNeeds.NOTHING, List.of(), List.of());

  static TrayMachine of(FleetPicture fleet, Tray tray) {
    return tray.unitId()
        .map(
            unit -> {
              List<Task> tasks =
                  fleet.tasks(unit).stream()
                      .map(TaskStanding::task)
                      .filter(task -> tray.taskIds().contains(task.id()))
                      .toList();
              return new TrayMachine(fleet.needs(unit), tasks, meters(fleet, tray, tasks));
            })
        .orElse(WORKSHOP);
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
  boolean countsByMeters() {
    return !tasks.isEmpty();
  }
}

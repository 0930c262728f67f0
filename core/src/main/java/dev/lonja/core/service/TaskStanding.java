package dev.lonja.core.service;

import dev.lonja.core.fleet.MeterOutlook;
import java.time.LocalDate;
import java.util.Optional;

/**
 * A task, the point it counts from and the outlook of its meter. The outlook is present exactly if
 * the task has a meter, and then the origin states the life.
 */
public record TaskStanding(Task task, Origin origin, Optional<MeterOutlook> outlook) {

  public TaskStanding {
    if (task.meterId().isPresent() && (outlook.isEmpty() || origin.life().isEmpty())) {
      throw new IllegalArgumentException(
          "outlook or life is absent; task " + task.id() + " counts by a meter and needs both");
    }
  }

  /** The standing once the task is done on {@code day}, at the life expected then. */
  TaskStanding doneOn(LocalDate day) {
    return new TaskStanding(
        task, Origin.done(day, outlook.map(meter -> meter.on(day).rounded())), outlook);
  }
}

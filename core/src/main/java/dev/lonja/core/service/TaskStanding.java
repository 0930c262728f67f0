package dev.lonja.core.service;

import dev.lonja.core.inspection.ReplacementTurn;
import dev.lonja.core.meter.MeterOutlook;
import java.time.LocalDate;
import java.util.Optional;

/**
 * A task, the point it counts from and the outlook of its meter. The outlook is present exactly if
 * the task has a meter, and then the origin states the life.
 *
 * @param leadsDone how often the task that leads it was done since it was done itself; zero for one
 *     that is not led
 * @param movedTo the day to which a person moved its next occurrence
 */
public record TaskStanding(
    Task task,
    Origin origin,
    Optional<MeterOutlook> outlook,
    int leadsDone,
    Optional<LocalDate> movedTo) {

  public TaskStanding {
    if (task.meterId().isPresent() && (outlook.isEmpty() || origin.life().isEmpty())) {
      throw new IllegalArgumentException(
          "outlook or life is absent; task " + task.id() + " counts by a meter and needs both");
    }
  }

  /** A task that is not led, and not moved. */
  public TaskStanding(Task task, Origin origin, Optional<MeterOutlook> outlook) {
    this(task, origin, outlook, 0, Optional.empty());
  }

  public TaskStanding withOutlook(Optional<MeterOutlook> other) {
    return new TaskStanding(task, origin, other, leadsDone, movedTo);
  }

  /** The same with its next occurrence on a day of a person's choice, or on its own. */
  public TaskStanding movedTo(Optional<LocalDate> day) {
    return new TaskStanding(task, origin, outlook, leadsDone, day);
  }

  TaskStanding leadDone() {
    return new TaskStanding(task, origin, outlook, leadsDone + 1, movedTo);
  }

  /** The standing once the task is done on {@code day}, at the life expected then. */
  TaskStanding doneOn(LocalDate day) {
    return new TaskStanding(
        task.withTurn(ReplacementTurn::next),
        Origin.planned(day, outlook.map(meter -> meter.on(day))),
        outlook);
  }
}

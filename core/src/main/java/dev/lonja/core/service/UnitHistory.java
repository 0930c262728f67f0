package dev.lonja.core.service;

import dev.lonja.core.meter.MeterStanding;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What was done on one unit and what was put on another day.
 *
 * @param done by task, when it was done, the latest last
 * @param kept by task, how often an inspection kept the part since one replaced it
 * @param moves by task, the day to which a person moved its next occurrence
 */
public record UnitHistory(
    LocalDate inServiceOn,
    Map<TaskId, List<Origin>> done,
    Map<TaskId, Integer> kept,
    Map<TaskId, LocalDate> moves) {

  public UnitHistory {
    done = Map.copyOf(done);
    kept = Map.copyOf(kept);
    moves = Map.copyOf(moves);
  }

  /** Where a task stands, with the meter that counts for it. */
  public TaskStanding standing(Task task, Optional<MeterStanding> meter) {
    Origin origin =
        last(task.id())
            .orElseGet(
                () -> Origin.startOfService(inServiceOn, meter.map(m -> m.file().meter().start())));
    return new TaskStanding(
        task.withTurn(turn -> turn.counting(kept.getOrDefault(task.id(), 0))),
        origin,
        meter.map(MeterStanding::outlook),
        leadsDone(task, origin),
        Optional.ofNullable(moves.get(task.id())));
  }

  private Optional<Origin> last(TaskId taskId) {
    List<Origin> all = done.getOrDefault(taskId, List.of());
    return all.isEmpty() ? Optional.empty() : Optional.of(all.get(all.size() - 1));
  }

  /** How often the lead was done on days after the task itself was, or ever if it never was. */
  private int leadsDone(Task task, Origin origin) {
    if (!(task.timing() instanceof Timing.EveryNth every)) {
      return 0;
    }
    return (int)
        done.getOrDefault(every.leadTaskId(), List.of()).stream()
            .filter(lead -> !origin.recorded() || lead.day().isAfter(origin.day()))
            .count();
  }
}

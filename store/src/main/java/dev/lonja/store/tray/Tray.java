package dev.lonja.store.tray;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * The parts and fluids laid out for one occurrence.
 *
 * @param taskIds the tasks it serves
 * @param version counts its changes
 */
public record Tray(
    TrayId id,
    String number,
    UnitId unitId,
    String unitCode,
    String title,
    LocalDate plannedOn,
    State state,
    Optional<String> mechanic,
    Optional<LocalDate> handedOverOn,
    long version,
    List<TaskId> taskIds,
    List<TrayLine> lines) {

  /** Where a tray is in its life. */
  public enum State {
    OPEN,
    HANDED_OVER,
    /** Put back on the shelves without a hand-over. */
    CLEARED
  }

  public boolean isOpen() {
    return state == State.OPEN;
  }
}

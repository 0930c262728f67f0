package dev.lonja.store.tray;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.place.Place;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.TaskOutcome;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.core.tray.TrayPurpose;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * The parts and fluids laid out for one occurrence, or for work that nobody planned.
 *
 * @param unit none for what the workshop itself uses
 * @param handedOverOn from the hand-over on
 * @param backOn once it was taken back
 * @param tasks those it serves; none unless it is for a service
 * @param version counts its changes
 */
public record Tray(
    TrayId id,
    String number,
    Optional<ForUnit> unit,
    Place place,
    TrayPurpose purpose,
    String title,
    LocalDate plannedOn,
    State state,
    Optional<String> mechanic,
    Optional<LocalDate> handedOverOn,
    Optional<LocalDate> backOn,
    long version,
    List<Served> tasks,
    List<TrayLine> lines) {

  /** The machine that a tray is for. */
  public record ForUnit(UnitId id, String code) {}

  /** Where a tray is in its life. */
  public enum State {
    OPEN,
    HANDED_OVER,
    /** The job is back, and what became of each task is noted. */
    BACK,
    /** Put back on the shelves without a hand-over. */
    CLEARED
  }

  /**
   * A task that it serves.
   *
   * @param outcome what became of it, once the tray is back; what an inspection found stands with
   *     its record
   */
  public record Served(TaskId taskId, Optional<TaskOutcome> outcome) {}

  public Optional<UnitId> unitId() {
    return unit.map(ForUnit::id);
  }

  public Optional<String> unitCode() {
    return unit.map(ForUnit::code);
  }

  /** True if it is for this unit. */
  public boolean isFor(UnitId id) {
    return unitId().filter(id::equals).isPresent();
  }

  public List<TaskId> taskIds() {
    return tasks.stream().map(Served::taskId).toList();
  }

  public boolean isOpen() {
    return state == State.OPEN;
  }
}

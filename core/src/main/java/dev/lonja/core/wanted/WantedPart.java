package dev.lonja.core.wanted;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.TaskId;
import java.time.LocalDate;
import java.util.Optional;

/**
 * A part or fluid that is wanted by itself, whatever is planned, until it is handed over with a
 * tray or dropped.
 *
 * @param unit the machine it is for; none for what the workshop itself uses
 * @param quantity more than nothing
 * @param place where it goes, in words; empty if that is not said
 * @param neededOn the day it is needed; none is as soon as can be
 */
public record WantedPart(
    WantedPartId id,
    Optional<ForUnit> unit,
    ItemId itemId,
    Quantity quantity,
    String place,
    Destination destination,
    Optional<LocalDate> neededOn,
    Cause cause) {

  /** A machine that a part is for. */
  public record ForUnit(UnitId id, String code) {}

  /** Why a part is wanted. */
  public sealed interface Cause {
    /** Something was found that it puts right. */
    record OfFinding(FindingId id, String words) implements Cause {}

    /**
     * A tray went out without it.
     *
     * @param tray its number
     * @param taskId the task that asked for it, which asks for it no second time
     */
    record LeftOut(String tray, Optional<TaskId> taskId, String why) implements Cause {}

    /** Somebody asked for it. */
    record Asked(String by, String why) implements Cause {}
  }

  public WantedPart {
    if (!quantity.isPositive()) {
      throw new IllegalArgumentException("quantity is " + quantity + "; allowed is more than 0");
    }
  }

  /** The day on which it counts as demand: the day it is needed, today if none or a past one. */
  public LocalDate demandedOn(LocalDate today) {
    return neededOn.filter(day -> day.isAfter(today)).orElse(today);
  }

  /** True if the tray of a unit for a day is to bring it: it is needed by then. */
  public boolean belongsOn(UnitId unitId, LocalDate day) {
    return unit.filter(u -> u.id().equals(unitId)).isPresent()
        && neededOn.filter(day::isBefore).isEmpty();
  }

  /** The task that it was left out of, if it was. */
  public Optional<TaskId> taskId() {
    return cause instanceof Cause.LeftOut left ? left.taskId() : Optional.empty();
  }
}

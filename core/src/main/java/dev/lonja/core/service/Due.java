package dev.lonja.core.service;

import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.core.quantity.MeterValue;
import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;

/**
 * When a task is due, and why.
 *
 * @param limit the meter value at which it is due
 * @param calendarDate the day on which it is due whatever the meter says
 * @param plannedDate the earlier of the two, not before today; empty beyond the horizon or if
 *     unknown
 * @param byRule the planned date as it would be had nobody moved it
 * @param cause what sets the planned date; empty if there is none
 * @param overdueRun how far the expected life lies beyond the limit, if it does
 * @param overdueDays how many days the calendar date lies back, if it does
 */
public record Due(
    TaskStanding standing,
    Optional<MeterValue> limit,
    Optional<LocalDate> calendarDate,
    Optional<LocalDate> plannedDate,
    Optional<LocalDate> byRule,
    Optional<Cause> cause,
    Optional<MeterSpan> overdueRun,
    Optional<Long> overdueDays,
    Set<Flag> flags) {

  /** What sets a planned date. */
  public enum Cause {
    METER,
    CALENDAR,
    /** A day of the season or of the lay-up. */
    SEASON,
    /** The task that leads it. */
    LEAD,
    /** A person moved it. */
    MOVED
  }

  /** What a reader of the date must know. */
  public enum Flag {
    /** Never recorded as done; counted from the start of service. */
    NO_RECORD,
    /** No lay-up is on file to come before. */
    NO_LAY_UP,
    /** The meter's rate is unknown, so its limit has no date. */
    NOT_FORECASTABLE,
    /** The meter does not run, so its limit has no date. */
    STANDING_STILL
  }

  public Due {
    flags = Set.copyOf(flags);
  }

  public Task task() {
    return standing.task();
  }

  /** True if a limit lies behind; exactly reached today is due, not overdue. */
  public boolean isOverdue() {
    return overdueRun.isPresent() || overdueDays.isPresent();
  }
}

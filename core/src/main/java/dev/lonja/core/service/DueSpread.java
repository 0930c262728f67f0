package dev.lonja.core.service;

import dev.lonja.core.meter.MeterOutlook;
import java.time.LocalDate;
import java.util.Optional;

/**
 * Between which days a task falls due: by 10, 50 and 90 % probability, never before today and never
 * after the calendar date. A day is empty if it lies beyond the last day looked at.
 */
public record DueSpread(Optional<LocalDate> p10, Optional<LocalDate> p50, Optional<LocalDate> p90) {

  private static final double TEN = 0.1;
  private static final double FIFTY = 0.5;
  private static final double NINETY = 0.9;

  /** The spread of a due date, looked for up to {@code until}. */
  public static DueSpread of(Due due, LocalDate today, LocalDate until) {
    return new DueSpread(
        day(due, TEN, today, until), day(due, FIFTY, today, until), day(due, NINETY, today, until));
  }

  private static Optional<LocalDate> day(
      Due due, double probability, LocalDate today, LocalDate until) {
    Optional<LocalDate> calendar =
        due.calendarDate()
            .map(date -> date.isBefore(today) ? today : date)
            .filter(date -> !date.isAfter(until));
    Optional<LocalDate> byMeter =
        due.limit()
            .flatMap(
                limit ->
                    outlook(due).dayOfChance(limit, probability, today, calendar.orElse(until)));
    return byMeter.or(() -> calendar);
  }

  private static MeterOutlook outlook(Due due) {
    return due.standing().outlook().orElseThrow();
  }
}

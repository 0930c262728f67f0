package dev.lonja.core.service;

import dev.lonja.core.fleet.MeterOutlook;
import dev.lonja.core.fleet.UsageRate;
import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.core.quantity.MeterValue;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;

/**
 * When a task is due: by meter at the last value plus the interval × severity, by calendar the same
 * day of the month so many months later (that month's last day if it has no such day), whichever
 * comes first. Exactly reached is due; beyond it is overdue.
 */
public final class DueRule {

  private DueRule() {}

  /**
   * @param today the planned date is never before it, nor before the point the task counts from
   * @param until the last day looked at
   */
  public static Due due(TaskStanding standing, LocalDate today, LocalDate until) {
    Task task = standing.task();
    Origin origin = standing.origin();
    Interval interval = task.interval(origin.recorded());
    Optional<MeterValue> limit =
        task.spanInForce(interval).map(span -> origin.life().orElseThrow().plus(span));
    Optional<LocalDate> calendar = interval.months().map(origin.day()::plusMonths);
    LocalDate from = latest(today, origin.day());
    Optional<LocalDate> byMeter =
        limit.flatMap(l -> standing.outlook().orElseThrow().firstDayReaching(l, from, until));
    Optional<LocalDate> byCalendar =
        calendar.map(day -> latest(day, from)).filter(day -> !day.isAfter(until));
    Optional<Due.Cause> cause = cause(byMeter, byCalendar);
    Optional<LocalDate> planned = cause.flatMap(c -> c == Due.Cause.METER ? byMeter : byCalendar);
    return new Due(
        standing,
        limit,
        calendar,
        planned,
        cause,
        limit.flatMap(l -> overdueRun(standing, l, today)),
        calendar.map(day -> ChronoUnit.DAYS.between(day, today)).filter(days -> days > 0),
        flags(standing, limit, today));
  }

  private static Optional<Due.Cause> cause(
      Optional<LocalDate> byMeter, Optional<LocalDate> byCalendar) {
    if (byMeter.isEmpty()) {
      return byCalendar.map(day -> Due.Cause.CALENDAR);
    }
    boolean calendarFirst = byCalendar.filter(day -> day.isBefore(byMeter.get())).isPresent();
    return Optional.of(calendarFirst ? Due.Cause.CALENDAR : Due.Cause.METER);
  }

  private static Optional<MeterSpan> overdueRun(
      TaskStanding standing, MeterValue limit, LocalDate today) {
    MeterSpan beyond = standing.outlook().orElseThrow().on(today).beyond(limit);
    return beyond.tenths() > 0 ? Optional.of(beyond) : Optional.empty();
  }

  private static Set<Due.Flag> flags(
      TaskStanding standing, Optional<MeterValue> limit, LocalDate today) {
    Set<Due.Flag> flags = EnumSet.noneOf(Due.Flag.class);
    if (!standing.origin().recorded()) {
      flags.add(Due.Flag.NO_RECORD);
    }
    limit.ifPresent(
        value -> {
          MeterOutlook outlook = standing.outlook().orElseThrow();
          if (outlook.on(today).reaches(value)) {
            return;
          }
          if (outlook.rate().isEmpty()) {
            flags.add(Due.Flag.NOT_FORECASTABLE);
          } else if (outlook.rate().filter(UsageRate::isStandingStill).isPresent()) {
            flags.add(Due.Flag.STANDING_STILL);
          }
        });
    return flags;
  }

  private static LocalDate latest(LocalDate a, LocalDate b) {
    return a.isAfter(b) ? a : b;
  }
}

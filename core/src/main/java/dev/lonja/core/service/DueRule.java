package dev.lonja.core.service;

import dev.lonja.core.meter.MeterOutlook;
import dev.lonja.core.meter.UsageRate;
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
 * comes first; or so many days before a season or a lay-up. Exactly reached is due; beyond it is
 * overdue. A day to which a person moved it takes the place of the planned date, not of the limits.
 */
public final class DueRule {

  private final TaskStanding standing;
  private final LocalDate today;
  private final LocalDate until;
  private final LocalDate from;

  private DueRule(TaskStanding standing, LocalDate today, LocalDate until) {
    this.standing = standing;
    this.today = today;
    this.until = until;
    this.from = latest(today, standing.origin().day());
  }

  /**
   * When one task is due. One that another leads has no date of its own; the planner gives it one.
   *
   * @param today the planned date is never before it, nor before the point the task counts from
   * @param until the last day looked at
   */
  public static Due due(TaskStanding standing, LocalDate today, LocalDate until) {
    return new DueRule(standing, today, until).due();
  }

  /**
   * The day that comes next for a task whose days the year or its lay-ups set, once it is done on a
   * day; empty if there is none.
   */
  public static Optional<LocalDate> dayOnceDone(TaskStanding standing, LocalDate day) {
    return new DueRule(standing.doneOn(day), day, LocalDate.MAX).due().calendarDate();
  }

  /** When a task is due that is done with another one on {@code day}. */
  static Due ledOn(TaskStanding standing, LocalDate day) {
    DueRule rule = new DueRule(standing, day, day);
    Optional<LocalDate> planned = Optional.of(day);
    return rule.due(Optional.empty(), Optional.empty(), planned, Optional.of(Due.Cause.LEAD));
  }

  private Due due() {
    Timing timing = standing.task().timing();
    if (timing instanceof Timing.ByInterval interval) {
      return byInterval(interval);
    }
    Optional<LocalDate> day = Optional.empty();
    if (timing instanceof Timing.BeforeSeason season) {
      day = Optional.of(season.after(standing.origin().day()));
    } else if (timing instanceof Timing.BeforeLayUp layUp) {
      day = layUp.after(standing.origin().day());
    } else if (timing instanceof Timing.AfterLayUp layUp) {
      day = layUp.after(standing.origin().day());
    }
    Optional<LocalDate> planned = notBeforeToday(day);
    return due(Optional.empty(), day, planned, planned.map(date -> Due.Cause.SEASON));
  }

  private Due byInterval(Timing.ByInterval timing) {
    Origin origin = standing.origin();
    Interval interval = timing.interval(origin.recorded());
    Optional<MeterValue> limit =
        timing.spanInForce(interval).map(span -> origin.life().orElseThrow().plus(span));
    Optional<LocalDate> calendar = interval.months().map(origin.day()::plusMonths);
    Optional<LocalDate> byMeter =
        timing
            .spanInForce(interval)
            .map(span -> origin.exactLife().orElseThrow().plus(span))
            .flatMap(l -> standing.outlook().orElseThrow().firstDayReaching(l, from, until));
    Optional<LocalDate> byCalendar = notBeforeToday(calendar);
    Optional<Due.Cause> cause = cause(byMeter, byCalendar);
    Optional<LocalDate> planned = cause.flatMap(c -> c == Due.Cause.METER ? byMeter : byCalendar);
    return due(limit, calendar, planned, cause);
  }

  private Optional<LocalDate> notBeforeToday(Optional<LocalDate> date) {
    return date.map(day -> latest(day, from)).filter(day -> !day.isAfter(until));
  }

  private Due due(
      Optional<MeterValue> limit,
      Optional<LocalDate> calendar,
      Optional<LocalDate> byRule,
      Optional<Due.Cause> cause) {
    Optional<LocalDate> moved = standing.movedTo().map(day -> latest(day, today));
    return new Due(
        standing,
        limit,
        calendar,
        moved.isPresent() ? moved.filter(day -> !day.isAfter(until)) : byRule,
        byRule,
        moved.isPresent() ? Optional.of(Due.Cause.MOVED) : cause,
        limit.flatMap(this::overdueRun),
        calendar.map(day -> ChronoUnit.DAYS.between(day, today)).filter(days -> days > 0),
        flags(limit, calendar));
  }

  private static Optional<Due.Cause> cause(
      Optional<LocalDate> byMeter, Optional<LocalDate> byCalendar) {
    if (byMeter.isEmpty()) {
      return byCalendar.map(day -> Due.Cause.CALENDAR);
    }
    boolean calendarFirst = byCalendar.filter(day -> day.isBefore(byMeter.get())).isPresent();
    return Optional.of(calendarFirst ? Due.Cause.CALENDAR : Due.Cause.METER);
  }

  private Optional<MeterSpan> overdueRun(MeterValue limit) {
    MeterSpan beyond = standing.outlook().orElseThrow().on(today).beyond(limit);
    return beyond.tenths() > 0 ? Optional.of(beyond) : Optional.empty();
  }

  private Set<Due.Flag> flags(Optional<MeterValue> limit, Optional<LocalDate> calendar) {
    Set<Due.Flag> flags = EnumSet.noneOf(Due.Flag.class);
    if (!standing.origin().recorded()) {
      flags.add(Due.Flag.NO_RECORD);
    }
    boolean goesByLayUp =
        standing.task().timing() instanceof Timing.BeforeLayUp
            || standing.task().timing() instanceof Timing.AfterLayUp;
    if (goesByLayUp && calendar.isEmpty()) {
      flags.add(Due.Flag.NO_LAY_UP);
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

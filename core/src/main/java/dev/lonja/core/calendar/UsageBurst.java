package dev.lonja.core.calendar;

import dev.lonja.core.quantity.MeterSpan;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;

/**
 * A what-if: on every day of a stretch, both ends included, a meter runs so much and no more,
 * whatever its rate, its months and its lay-ups say. More than 24 h (1,500 km) a day is refused.
 */
public record UsageBurst(LocalDate first, LocalDate last, MeterSpan perDay) {

  public UsageBurst {
    if (first.isAfter(last)) {
      throw new IllegalArgumentException(
          "first is " + first + "; allowed is up to the last day, " + last);
    }
    MeterSpan highest = perDay.measure().highestPerDay();
    if (perDay.compareTo(highest) > 0) {
      throw new IllegalArgumentException(
          "perDay is " + perDay.display() + "; allowed is up to " + highest.display());
    }
  }

  /** Tenths of an hour or kilometre run on the days a &lt; d ≤ b that belong to the burst. */
  public long tenthsBetween(LocalDate a, LocalDate b) {
    return daysBetween(a, b) * perDay.tenths();
  }

  private long daysBetween(LocalDate a, LocalDate b) {
    LocalDate from = startWithin(a);
    LocalDate to = b.isBefore(last) ? b : last;
    return Math.max(0, ChronoUnit.DAYS.between(from, to));
  }

  /** The effective days of a &lt; d ≤ b by a calendar, without those of the burst. */
  public EffectiveDays restOf(UsageCalendar calendar, LocalDate a, LocalDate b) {
    LocalDate to = b.isBefore(last) ? b : last;
    long within = calendar.between(startWithin(a), to).tenThousandths();
    return new EffectiveDays(calendar.between(a, b).tenThousandths() - within);
  }

  /** The day before the first burst day after {@code a}. */
  private LocalDate startWithin(LocalDate a) {
    LocalDate dayBefore = first.minusDays(1);
    return a.isAfter(dayBefore) ? a : dayBefore;
  }
}

package dev.lonja.core.calendar;

import java.time.LocalDate;
import java.util.Collections;
import java.util.List;

/**
 * How the use of a machine is spread over the year: twelve monthly factors, January first, in
 * ten-thousandths with mean 1, and lay-ups, on whose days the factor is 0. Factors are not rescaled
 * for lay-ups.
 */
public record UsageCalendar(List<Integer> monthlyFactors, List<LayUp> layUps) {

  private static final int MONTHS = 12;
  private static final int FEBRUARY = 2;
  private static final int[] COMMON_DAYS = {31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31};
  private static final int SUM = MONTHS * EffectiveDays.ONE_DAY;

  /** Every day alike. */
  public static final UsageCalendar EVEN =
      new UsageCalendar(Collections.nCopies(MONTHS, EffectiveDays.ONE_DAY), List.of());

  public UsageCalendar {
    monthlyFactors = List.copyOf(monthlyFactors);
    layUps = List.copyOf(layUps);
    if (monthlyFactors.size() != MONTHS) {
      throw new IllegalArgumentException(
          "monthlyFactors holds " + monthlyFactors.size() + "; allowed is " + MONTHS);
    }
    if (monthlyFactors.stream().anyMatch(factor -> factor < 0)) {
      throw new IllegalArgumentException(
          "monthlyFactors are " + monthlyFactors + "; allowed is 0 or more");
    }
    int sum = monthlyFactors.stream().mapToInt(Integer::intValue).sum();
    if (sum != SUM) {
      throw new IllegalArgumentException(
          "monthlyFactors add up to " + sum + "; allowed is " + SUM + ", a mean of 1");
    }
  }

  /**
   * τ(a, b): the sum of the factors over the days a &lt; d ≤ b; 0 if b is not after a. Costs one
   * step a lay-up, however far the days lie apart.
   */
  public EffectiveDays between(LocalDate a, LocalDate b) {
    return new EffectiveDays(between(a.plusDays(1), b, 0));
  }

  /** Both ends included, with the lay-ups from the {@code from}th on left out. */
  private long between(LocalDate first, LocalDate last, int from) {
    for (int i = from; i < layUps.size(); i++) {
      LayUp layUp = layUps.get(i);
      if (!layUp.first().isAfter(last) && !layUp.last().isBefore(first)) {
        return between(first, layUp.first().minusDays(1), i + 1)
            + between(layUp.last().plusDays(1), last, i + 1);
      }
    }
    return withoutLayUps(first, last);
  }

  private long withoutLayUps(LocalDate first, LocalDate last) {
    return first.isAfter(last) ? 0 : upTo(last) - upTo(first.minusDays(1));
  }

  /**
   * The sum over all days from some first one of the calendar to this one, so that of two the
   * difference counts: whole years, whole months of its year, days of its month. A plan over two
   * years asks a hundred times for each unit, so no step is taken a month or a year.
   */
  private long upTo(LocalDate day) {
    long sum = day.getYear() * commonYear() + leapYearsBefore(day.getYear()) * february();
    for (int month = 1; month < day.getMonthValue(); month++) {
      sum += (long) monthlyFactors.get(month - 1) * COMMON_DAYS[month - 1];
    }
    if (day.getMonthValue() > FEBRUARY && day.isLeapYear()) {
      sum += february();
    }
    return sum + (long) monthlyFactors.get(day.getMonthValue() - 1) * day.getDayOfMonth();
  }

  private long commonYear() {
    long sum = 0;
    for (int month = 0; month < MONTHS; month++) {
      sum += (long) monthlyFactors.get(month) * COMMON_DAYS[month];
    }
    return sum;
  }

  private long february() {
    return monthlyFactors.get(FEBRUARY - 1);
  }

  private static long leapYearsBefore(int year) {
    int last = year - 1;
    return Math.floorDiv(last, 4) - Math.floorDiv(last, 100) + Math.floorDiv(last, 400);
  }
}

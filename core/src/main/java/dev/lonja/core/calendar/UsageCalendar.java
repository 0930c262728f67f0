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
   * step a month and one a lay-up.
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
    return byMonths(first, last);
  }

  private long byMonths(LocalDate first, LocalDate last) {
    long sum = 0;
    LocalDate day = first;
    while (!day.isAfter(last)) {
      LocalDate next = day.plusMonths(1).withDayOfMonth(1);
      LocalDate end = next.isAfter(last) ? last.plusDays(1) : next;
      sum += monthlyFactors.get(day.getMonthValue() - 1) * (end.toEpochDay() - day.toEpochDay());
      day = end;
    }
    return sum;
  }
}

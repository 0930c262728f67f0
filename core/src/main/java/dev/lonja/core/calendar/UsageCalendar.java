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

  /** τ(a, b): the sum of the factors over the days a &lt; d ≤ b; 0 if b is not after a. */
  public EffectiveDays between(LocalDate a, LocalDate b) {
    long sum = 0;
    for (LocalDate day = a.plusDays(1); !day.isAfter(b); day = day.plusDays(1)) {
      sum += factorOn(day);
    }
    return new EffectiveDays(sum);
  }

  public int factorOn(LocalDate day) {
    for (LayUp layUp : layUps) {
      if (layUp.holds(day)) {
        return 0;
      }
    }
    return monthlyFactors.get(day.getMonthValue() - 1);
  }
}

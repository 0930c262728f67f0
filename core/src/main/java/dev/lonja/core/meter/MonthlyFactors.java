package dev.lonja.core.meter;

import dev.lonja.core.calendar.EffectiveDays;
import dev.lonja.core.calendar.LayUp;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Monthly factors as people type them and as readings suggest them, always with mean 1. */
public final class MonthlyFactors {

  private static final int MONTHS = 12;
  private static final int SUM = MONTHS * EffectiveDays.ONE_DAY;
  private static final int YEARS_LOOKED_AT = 2;
  private static final int LEAST_DAYS_SEEN = 14;

  private MonthlyFactors() {}

  /**
   * Scales twelve weights to mean 1: each × 12 / their sum, in ten-thousandths, what rounding
   * leaves over going to the largest remainders, the earlier month first. Empty if all are zero;
   * other than twelve, or one below zero, is refused.
   */
  public static Optional<List<Integer>> scaled(List<BigDecimal> weights) {
    if (weights.size() != MONTHS) {
      throw new IllegalArgumentException(
          "weights holds " + weights.size() + "; allowed is " + MONTHS);
    }
    if (weights.stream().anyMatch(weight -> weight.signum() < 0)) {
      throw new IllegalArgumentException("weights are " + weights + "; allowed is 0 or more");
    }
    BigDecimal sum = weights.stream().reduce(BigDecimal.ZERO, BigDecimal::add);
    return sum.signum() == 0 ? Optional.empty() : Optional.of(shares(weights, sum));
  }

  private static List<Integer> shares(List<BigDecimal> weights, BigDecimal sum) {
    List<Integer> shares = new ArrayList<>();
    List<BigDecimal> remainders = new ArrayList<>();
    int given = 0;
    for (BigDecimal weight : weights) {
      BigDecimal exact =
          weight.multiply(BigDecimal.valueOf(SUM)).divide(sum, 12, RoundingMode.HALF_UP);
      int share = exact.setScale(0, RoundingMode.FLOOR).intValueExact();
      shares.add(share);
      remainders.add(exact.subtract(BigDecimal.valueOf(share)));
      given += share;
    }
    for (; given < SUM; given++) {
      int largest = 0;
      for (int month = 1; month < MONTHS; month++) {
        largest = remainders.get(month).compareTo(remainders.get(largest)) > 0 ? month : largest;
      }
      shares.set(largest, shares.get(largest) + 1);
      remainders.set(largest, remainders.get(largest).subtract(BigDecimal.ONE));
    }
    return shares;
  }

  /**
   * What the readings of the last 24 months suggest for a class (our derivation). Each meter's run
   * between neighbouring readings is spread evenly over the days between them that are not laid up;
   * a month's use is its run over its days seen, against the meter's own mean over its months; the
   * class's factor is the mean over its meters. Only meters count that were seen for 14 days or
   * more of every month of the year and that ran at all; empty if there is none. Costs the days
   * between the readings.
   */
  public static Optional<List<Integer>> learned(List<JudgedMeter> meters, LocalDate today) {
    List<double[]> each = new ArrayList<>();
    for (JudgedMeter meter : meters) {
      ofMeter(meter, today).ifPresent(each::add);
    }
    if (each.isEmpty()) {
      return Optional.empty();
    }
    List<BigDecimal> means = new ArrayList<>();
    for (int month = 0; month < MONTHS; month++) {
      int index = month;
      means.add(
          BigDecimal.valueOf(each.stream().mapToDouble(f -> f[index]).average().orElseThrow()));
    }
    return scaled(means);
  }

  private static Optional<double[]> ofMeter(JudgedMeter meter, LocalDate today) {
    double[] run = new double[MONTHS];
    int[] days = new int[MONTHS];
    List<LayUp> layUps = meter.standing().file().calendar().layUps();
    LocalDate from = today.minusYears(YEARS_LOOKED_AT);
    List<LifePoint> lives =
        meter.log().accepted().stream().filter(point -> !point.day().isBefore(from)).toList();
    for (int i = 1; i < lives.size(); i++) {
      spread(lives.get(i - 1), lives.get(i), layUps, run, days);
    }
    double[] perDay = new double[MONTHS];
    double sum = 0;
    for (int month = 0; month < MONTHS; month++) {
      if (days[month] < LEAST_DAYS_SEEN) {
        return Optional.empty();
      }
      perDay[month] = run[month] / days[month];
      sum += perDay[month];
    }
    if (!(sum > 0)) {
      return Optional.empty();
    }
    for (int month = 0; month < MONTHS; month++) {
      perDay[month] *= MONTHS / sum;
    }
    return Optional.of(perDay);
  }

  private static void spread(
      LifePoint before, LifePoint after, List<LayUp> layUps, double[] run, int[] days) {
    List<LocalDate> running =
        before
            .day()
            .plusDays(1)
            .datesUntil(after.day().plusDays(1))
            .filter(day -> layUps.stream().noneMatch(layUp -> layUp.holds(day)))
            .toList();
    double perDay = after.life().since(before.life()).tenths() / 10.0 / Math.max(1, running.size());
    for (LocalDate day : running) {
      run[day.getMonthValue() - 1] += perDay;
      days[day.getMonthValue() - 1]++;
    }
  }
}

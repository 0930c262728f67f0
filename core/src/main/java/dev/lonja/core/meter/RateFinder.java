package dev.lonja.core.meter;

import dev.lonja.core.calendar.EffectiveDays;
import dev.lonja.core.calendar.UsageCalendar;
import dev.lonja.core.quantity.MeterMeasure;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.apache.commons.statistics.descriptive.Median;
import org.apache.commons.statistics.descriptive.NaNPolicy;

/**
 * Finds the rate at which a meter runs, by the median of pairwise slopes (P. K. Sen, "Estimates of
 * the regression coefficient based on Kendall's tau", J. Am. Stat. Assoc. 63, 1968), which a few
 * wrong or unusual readings do not move. Uses the accepted readings of the last 365 days, both ends
 * included, over pairs at least 7 days apart whose effective time is above zero. Costs n² log n; a
 * year of daily readings is the largest sensible input.
 */
public final class RateFinder {

  private static final int WINDOW_DAYS = 365;
  private static final int LEAST_READINGS = 3;
  private static final int LEAST_SPAN_DAYS = 28;
  private static final int LEAST_PAIR_DAYS = 7;
  private static final double BURSTY = 1.5;

  private RateFinder() {}

  /**
   * The rate from readings alone; empty with fewer than 3 readings, or if they span fewer than 28
   * days, or if no pair qualifies. Where the mean over all exceeds 1.5 × the median slope the
   * machine runs in bursts and the mean is its rate.
   *
   * @param accepted in order of time
   */
  public static Optional<UsageRate> fromReadings(List<LifePoint> accepted, UsageCalendar calendar) {
    List<LifePoint> recent = used(accepted);
    if (recent.size() < LEAST_READINGS || spanDays(recent) < LEAST_SPAN_DAYS) {
      return Optional.empty();
    }
    long[] tau = effectiveTimes(recent, calendar);
    double[] slopes = slopes(recent, tau);
    return slopes.length == 0
        ? Optional.empty()
        : Optional.of(steadyOrBursty(recent, tau, median(slopes)));
  }

  /**
   * The readings that the rate rests on: those of the 365 days up to the last one, both ends
   * included. It is the same on every day until another reading comes.
   */
  static List<LifePoint> used(List<LifePoint> accepted) {
    if (accepted.isEmpty()) {
      return List.of();
    }
    LocalDate first = accepted.get(accepted.size() - 1).day().minusDays(WINDOW_DAYS);
    return accepted.stream().filter(point -> !point.day().isBefore(first)).toList();
  }

  /** The median of a class's rates that come from readings; empty if there are none. */
  public static Optional<UsageRate> classMedian(List<UsageRate> rates, MeterMeasure measure) {
    double[] perDay =
        rates.stream()
            .filter(rate -> rate.measure() == measure)
            .filter(rate -> rate.source().compareTo(UsageRate.Source.DECLARED) < 0)
            .mapToDouble(UsageRate::perDay)
            .toArray();
    return perDay.length == 0
        ? Optional.empty()
        : Optional.of(UsageRate.ofPerDay(median(perDay), measure, UsageRate.Source.CLASS_MEDIAN));
  }

  private static UsageRate steadyOrBursty(List<LifePoint> readings, long[] tau, double slope) {
    int last = readings.size() - 1;
    MeterMeasure measure = readings.get(0).life().measure();
    long run = readings.get(last).life().since(readings.get(0).life()).tenths();
    double mean = slope(run, tau[last] - tau[0]);
    return mean > BURSTY * slope
        ? UsageRate.ofPerDay(mean, measure, UsageRate.Source.BURSTY_READINGS)
        : UsageRate.ofPerDay(slope, measure, UsageRate.Source.READINGS);
  }

  private static long spanDays(List<LifePoint> readings) {
    return ChronoUnit.DAYS.between(readings.get(0).day(), readings.get(readings.size() - 1).day());
  }

  /** Effective time of each reading from the first, so that a pair's is a subtraction. */
  private static long[] effectiveTimes(List<LifePoint> readings, UsageCalendar calendar) {
    long[] tau = new long[readings.size()];
    for (int i = 1; i < tau.length; i++) {
      LocalDate before = readings.get(i - 1).day();
      tau[i] = tau[i - 1] + calendar.between(before, readings.get(i).day()).tenThousandths();
    }
    return tau;
  }

  /** Of whole numbers taken out beforehand: there are some 66,000 pairs in a year of readings. */
  private static double[] slopes(List<LifePoint> readings, long[] tau) {
    long[] days = readings.stream().mapToLong(point -> point.day().toEpochDay()).toArray();
    long[] tenths = readings.stream().mapToLong(point -> point.life().tenths()).toArray();
    double[] slopes = new double[tau.length * (tau.length - 1) / 2];
    int count = 0;
    for (int i = 0; i < tau.length; i++) {
      for (int j = i + 1; j < tau.length; j++) {
        if (days[j] - days[i] >= LEAST_PAIR_DAYS && tau[j] > tau[i]) {
          slopes[count++] = slope(tenths[j] - tenths[i], tau[j] - tau[i]);
        }
      }
    }
    return Arrays.copyOf(slopes, count);
  }

  /** Hours or kilometres per effective day. */
  private static double slope(long tenths, long tau) {
    return tenths / 10.0 / ((double) tau / EffectiveDays.ONE_DAY);
  }

  /** By selection, not by sorting: a year of daily readings has some 66,000 slopes. */
  static double median(double[] values) {
    return Median.withDefaults().with(NaNPolicy.ERROR).evaluate(values);
  }
}

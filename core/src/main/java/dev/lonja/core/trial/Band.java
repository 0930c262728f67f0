package dev.lonja.core.trial;

import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.function.IntUnaryOperator;

/**
 * How much of something is used from today to the end of each week, in every trial. A quantile is
 * the smallest drawn value whose share of the trials reaches it, so it is one that was drawn.
 */
public final class Band {

  private static final int MICRO = 1_000;
  private static final double THOUSAND = 1_000;

  private static final int WEEK = 7;

  private final TrialRules rules;
  private final Measure measure;
  private final long[][] byWeek;
  private final long[][] sorted;

  /**
   * @param byWeek by week, what each trial used up to its end, in thousandths
   */
  Band(TrialRules rules, Measure measure, long[][] byWeek) {
    this.rules = rules;
    this.measure = measure;
    this.byWeek = byWeek;
    this.sorted = new long[byWeek.length][];
  }

  /** Sorted when it is first asked for. */
  private synchronized long[] sorted(int week) {
    if (sorted[week] == null) {
      long[] values = byWeek[week].clone();
      Arrays.sort(values);
      sorted[week] = values;
    }
    return sorted[week];
  }

  public int weeks() {
    return byWeek.length;
  }

  public int trials() {
    return byWeek[0].length;
  }

  /**
   * The quantile of what is used up to the end of a week.
   *
   * @param share above 0, up to 1
   */
  public Quantity quantile(int week, double share) {
    return quantity(sorted(week)[rank(share)]);
  }

  /**
   * The trial that set a quantile: of those that used just so much up to the end of a week, the
   * first.
   *
   * @param share above 0, up to 1
   */
  public int trialOf(int week, double share) {
    long set = sorted(week)[rank(share)];
    int trial = 0;
    while (byWeek[week][trial] != set) {
      trial++;
    }
    return trial;
  }

  private int rank(double share) {
    return rank(share, trials());
  }

  /** Which of so many sorted values is a quantile: the smallest whose share reaches it. */
  public static int rank(double share, int count) {
    if (!(share > 0 && share <= 1)) {
      throw new IllegalArgumentException("share is " + share + "; allowed is above 0, up to 1");
    }
    return Math.max(0, (int) Math.ceil(share * count - 1e-9) - 1);
  }

  public LocalDate today() {
    return rules.today();
  }

  /** Days from today to the end of the last week, today counted. */
  public int days() {
    return rules.daysLeft() + WEEK * (weeks() - 1);
  }

  /**
   * What one trial uses on so many days, today counted, in what the item is counted in. What a week
   * uses is spread evenly over its days, over those left of the first; after the last week nothing
   * more is used.
   */
  public double usedWithin(int trial, int days) {
    int first = rules.daysLeft();
    if (days <= 0) {
      return 0;
    }
    if (days <= first) {
      return byWeek[0][trial] / THOUSAND * days / first;
    }
    int week = Math.min(weeks() - 1, (days - first) / WEEK);
    int next = Math.min(weeks() - 1, week + 1);
    int rest = (days - first) % WEEK;
    double more = (byWeek[next][trial] - byWeek[week][trial]) / THOUSAND;
    return byWeek[week][trial] / THOUSAND + more * rest / WEEK;
  }

  /**
   * The quantile of what is used within so many days, which each trial may say for itself, today
   * counted. Rounded half up to a thousandth; pieces are whole, a part of one is one more.
   *
   * @param share above 0, up to 1
   * @param days by trial
   */
  public Quantity quantileWithin(double share, IntUnaryOperator days) {
    double[] within = new double[trials()];
    for (int trial = 0; trial < within.length; trial++) {
      within[trial] = usedWithin(trial, days.applyAsInt(trial));
    }
    Arrays.sort(within);
    long thousandths = Math.round(within[rank(share)] * THOUSAND);
    return Quantity.of(
        measure,
        BigDecimal.valueOf(thousandths, 3)
            .setScale(measure == Measure.PIECES ? 0 : 3, RoundingMode.CEILING));
  }

  /** How many trials use more than so much on so many days, by {@link #usedWithin}. */
  public int trialsThatUseMore(double there, int days) {
    int more = 0;
    for (int trial = 0; trial < trials(); trial++) {
      more += usedWithin(trial, days) - there > 1e-9 ? 1 : 0;
    }
    return more;
  }

  /** The share of trials that use more than there is up to the end of a week, from 0 to 1. */
  public double chanceOfMoreThan(Quantity there, int week) {
    long thousandths = Math.floorDiv(there.millionths(), MICRO);
    int more = 0;
    for (long used : byWeek[week]) {
      more += used > thousandths ? 1 : 0;
    }
    return (double) more / trials();
  }

  private Quantity quantity(long thousandths) {
    return new Quantity(measure, Math.multiplyExact(thousandths, (long) MICRO));
  }
}

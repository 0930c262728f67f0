package dev.lonja.core.reorder;

import java.util.List;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.sampling.distribution.AhrensDieterMarsagliaTsangGammaSampler;
import org.apache.commons.rng.sampling.distribution.ContinuousSampler;

/**
 * How long an item takes from order to door, in calendar days: Gamma distributed, or fixed without
 * a deviation.
 *
 * @param mean zero or more
 * @param deviation zero or more
 * @param receipts from how many it was learned; 0 if it is as quoted
 * @param neverCame true if the last order of it was cancelled before any of it came
 */
public record LeadTime(double mean, double deviation, int receipts, boolean neverCame) {

  /** From so many receipts on it is learned. */
  public static final int LEAST_RECEIPTS = 4;

  private static final double QUOTED_DEVIATION = 0.3;

  /** A deviation of more than this much of the mean is unreliable supply. */
  private static final double UNRELIABLE = 0.6;

  public LeadTime {
    if (!(mean >= 0 && deviation >= 0)) {
      throw new IllegalArgumentException(
          "mean is " + mean + ", deviation " + deviation + "; allowed is 0 or more");
    }
  }

  /** As a supplier quotes it, with a deviation of 30 % of the mean. */
  public static LeadTime quoted(int days) {
    return new LeadTime(days, QUOTED_DEVIATION * days, 0, false);
  }

  /**
   * Learned from receipts, in days each: their mean and standard deviation (n − 1); as quoted with
   * fewer than four.
   */
  public static LeadTime of(List<Integer> receipts, int quotedDays) {
    if (receipts.size() < LEAST_RECEIPTS) {
      return quoted(quotedDays);
    }
    double mean = receipts.stream().mapToInt(Integer::intValue).average().orElseThrow();
    double squares = receipts.stream().mapToDouble(d -> (d - mean) * (d - mean)).sum();
    return new LeadTime(mean, Math.sqrt(squares / (receipts.size() - 1)), receipts.size(), false);
  }

  /** The same of something whose last order was cancelled before any of it came. */
  public LeadTime thatNeverCame() {
    return new LeadTime(mean, deviation, receipts, true);
  }

  /** True if it varies so much, or failed the last time, that nobody may count on it. */
  public boolean isUnreliable() {
    return neverCame || varies();
  }

  /** True if the deviation is more than 0.6 of the mean. */
  public boolean varies() {
    return mean > 0 && deviation / mean > UNRELIABLE;
  }

  /** Draws of it, in days. */
  ContinuousSampler draws(UniformRandomProvider random) {
    if (mean == 0 || deviation == 0) {
      return () -> mean;
    }
    double scale = deviation * deviation / mean;
    return AhrensDieterMarsagliaTsangGammaSampler.of(random, mean / scale, scale);
  }
}

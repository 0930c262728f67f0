package dev.lonja.core.meter;

import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.sampling.distribution.AhrensDieterMarsagliaTsangGammaSampler;
import org.apache.commons.rng.sampling.distribution.ContinuousSampler;

/**
 * What a meter runs over some days (rules §5), in hours or kilometres: Gamma distributed with this
 * mean and the variance dispersion × mean, cut at the most that so many days allow, and what a
 * what-if adds without any chance.
 *
 * @param mean zero or more
 * @param dispersion φ, above zero
 * @param fixed what a burst adds, zero or more
 * @param most 24 h or 1,500 km for each of the days
 */
public record Usage(double mean, double dispersion, double fixed, double most) {

  /** Draws of it, one after the other, from a source of chance. */
  public ContinuousSampler draws(UniformRandomProvider random) {
    if (mean <= 0) {
      return () -> fixed;
    }
    ContinuousSampler gamma =
        AhrensDieterMarsagliaTsangGammaSampler.of(random, mean / dispersion, dispersion);
    return () -> Math.min(gamma.sample(), most) + fixed;
  }

  /** What it runs without any chance. */
  public double expected() {
    return mean + fixed;
  }
}

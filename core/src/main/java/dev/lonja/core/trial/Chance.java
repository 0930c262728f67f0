package dev.lonja.core.trial;

import java.util.SplittableRandom;
import org.apache.commons.rng.UniformRandomProvider;

/**
 * The chance of one thing in one trial: always the same for the same seed, whatever else is drawn
 * before or beside it.
 */
public final class Chance implements UniformRandomProvider {

  private static final long GOLDEN = 0x9E3779B97F4A7C15L;

  private SplittableRandom source = new SplittableRandom(0);

  /** From here on, draws are those of one thing, by its number, in one trial. */
  public void begin(long seed, Kind kind, long number, long trial) {
    source = of(seed, kind, number, trial);
  }

  /** What has chances of its own. */
  public enum Kind {
    METER,
    INSPECTION,
    UNPLANNED,
    LEAD
  }

  private static SplittableRandom of(long seed, Kind kind, long number, long trial) {
    long mixed = new SplittableRandom(seed + GOLDEN * kind.ordinal()).nextLong() + number;
    return new SplittableRandom(new SplittableRandom(mixed).nextLong() + trial);
  }

  /** True with a chance, for a thing that is asked about once in a trial. */
  static boolean falls(double chance, long seed, long number, long trial) {
    return chance >= 1
        || (chance > 0 && of(seed, Kind.INSPECTION, number, trial).nextDouble() < chance);
  }

  @Override
  public long nextLong() {
    return source.nextLong();
  }
}

package dev.lonja.core.trial;

import org.apache.commons.rng.UniformRandomProvider;

/**
 * The chance of one thing in one trial: always the same for the same seed, whatever else is drawn
 * before or beside it. Draws are those of SplitMix64, so of {@link java.util.SplittableRandom}.
 */
public final class Chance implements UniformRandomProvider {

  private static final long GOLDEN = 0x9E3779B97F4A7C15L;
  private static final double UNIT = 0x1.0p-53;
  private static final int BITS_BELOW = 11;

  private long state;

  /** From here on, draws are those of one thing, by its number, in one trial. */
  public void begin(long seed, Kind kind, long number, long trial) {
    state = start(seed, kind, number, trial);
  }

  /** What has chances of its own. */
  public enum Kind {
    METER,
    INSPECTION,
    UNPLANNED,
    LEAD
  }

  private static long start(long seed, Kind kind, long number, long trial) {
    return mixed(mixed(seed + GOLDEN * (kind.ordinal() + 1)) + number + GOLDEN) + trial;
  }

  /** The finaliser of SplitMix64 (Steele, Lea and Flood, 2014; Stafford's variant 13). */
  private static long mixed(long value) {
    long z = (value ^ value >>> 30) * 0xBF58476D1CE4E5B9L;
    z = (z ^ z >>> 27) * 0x94D049BB133111EBL;
    return z ^ z >>> 31;
  }

  /** True with a chance, for a thing that is asked about once in a trial. */
  static boolean falls(double chance, long seed, long number, long trial) {
    long drawn = mixed(start(seed, Kind.INSPECTION, number, trial) + GOLDEN);
    return chance >= 1 || (chance > 0 && (drawn >>> BITS_BELOW) * UNIT < chance);
  }

  @Override
  public long nextLong() {
    state += GOLDEN;
    return mixed(state);
  }
}

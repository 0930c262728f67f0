package dev.lonja.core.person;

import java.time.Duration;

/**
 * How long one waits after wrong tries: five are free, then a minute, and twice as long after each
 * further one, up to a quarter of an hour.
 */
public final class WaitRule {

  /** Wrong tries that cost no time. */
  public static final int FREE_TRIES = 5;

  private static final Duration FIRST = Duration.ofMinutes(1);
  private static final Duration LONGEST = Duration.ofMinutes(15);
  private static final int MOST_DOUBLINGS = 4;

  private WaitRule() {}

  /** The wait after so many wrong tries in a row. */
  public static Duration after(int wrong) {
    if (wrong < FREE_TRIES) {
      return Duration.ZERO;
    }
    Duration wait = FIRST.multipliedBy(1L << Math.min(wrong - FREE_TRIES, MOST_DOUBLINGS));
    return wait.compareTo(LONGEST) > 0 ? LONGEST : wait;
  }
}

package dev.lonja.core.replay;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;

/**
 * Days of the past, both ends counted.
 *
 * @param first a day
 * @param last at least {@value #LEAST_DAYS} days with {@code first}
 */
public record Span(LocalDate first, LocalDate last) {

  /** 26 weeks: of less nothing can be learned. */
  public static final int LEAST_DAYS = 182;

  public Span {
    if (ChronoUnit.DAYS.between(first, last) + 1 < LEAST_DAYS) {
      throw new IllegalArgumentException(
          "last is " + last + "; allowed are " + LEAST_DAYS + " days from " + first + " at least");
    }
  }

  /** True for its first day, its last one and all between. */
  public boolean holds(LocalDate day) {
    return !day.isBefore(first) && !day.isAfter(last);
  }
}

package dev.lonja.core.calendar;

import java.time.LocalDate;

/** Days that can belong to a machine or a shelf of today: 1900 to 2199. Others are slips. */
public final class SensibleDay {

  /** The first and the last of them. */
  public static final LocalDate FIRST = LocalDate.of(1900, 1, 1);

  public static final LocalDate LAST = LocalDate.of(2199, 12, 31);

  /** What is allowed, in words. */
  public static final String ALLOWED = "from " + FIRST + " to " + LAST;

  private SensibleDay() {}

  /** True for a day among them, the ends too. */
  public static boolean is(LocalDate day) {
    return !day.isBefore(FIRST) && !day.isAfter(LAST);
  }
}

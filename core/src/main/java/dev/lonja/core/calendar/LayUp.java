package dev.lonja.core.calendar;

import java.time.LocalDate;

/** A stretch in which a machine does not run; both ends belong to it. */
public record LayUp(LocalDate first, LocalDate last) {

  public LayUp {
    if (first.isAfter(last)) {
      throw new IllegalArgumentException(
          "first is " + first + "; allowed is up to the last day, " + last);
    }
  }

  /** True from the first day to the last, both included. */
  public boolean holds(LocalDate day) {
    return !day.isBefore(first) && !day.isAfter(last);
  }

  /** True if the two share a day. */
  public boolean overlaps(LayUp other) {
    return !other.first.isAfter(last) && !first.isAfter(other.last);
  }
}

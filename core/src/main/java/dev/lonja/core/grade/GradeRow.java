package dev.lonja.core.grade;

import dev.lonja.core.quantity.Temperature;
import java.util.Optional;

/**
 * A line of a machine's grade chart.
 *
 * @param lowest ambient temperature at which the grade may be used; open below if empty
 * @param highest the same above; both ends included
 */
public record GradeRow(Grade grade, Optional<Temperature> lowest, Optional<Temperature> highest) {

  /** True if the lower end lies above the upper one. */
  public boolean isInverted() {
    return lowest.isPresent() && highest.isPresent() && lowest.get().compareTo(highest.get()) > 0;
  }

  /** True if some temperature lies in both ranges. */
  boolean overlaps(GradeRow other) {
    return !isBelow(other) && !other.isBelow(this);
  }

  private boolean isBelow(GradeRow other) {
    return highest.isPresent()
        && other.lowest.isPresent()
        && highest.get().compareTo(other.lowest.get()) < 0;
  }

  /** True if the cold of the range is within this one. */
  public boolean servesCold(Temperature low) {
    return lowest.isEmpty() || lowest.get().compareTo(low) <= 0;
  }

  /** True if the heat of the range is within this one. */
  public boolean servesHeat(Temperature high) {
    return highest.isEmpty() || highest.get().compareTo(high) >= 0;
  }
}

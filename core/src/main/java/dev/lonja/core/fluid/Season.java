package dev.lonja.core.fluid;

import java.time.LocalDate;
import java.time.Month;
import java.util.Collections;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;

/**
 * The months in which a seasonal product may be used, each whole.
 *
 * @param months some of the year's, not none
 */
public record Season(Set<Month> months) {

  public Season {
    if (months.isEmpty()) {
      throw new IllegalArgumentException("months are none; allowed is at least one");
    }
    months = Collections.unmodifiableSet(EnumSet.copyOf(months));
  }

  public boolean serves(LocalDate day) {
    return months.contains(day.getMonth());
  }

  /**
   * The first day after {@code today} on which the store has to change over: away from the product
   * if it serves today, to it if it does not. Empty if it serves the whole year.
   */
  public Optional<LocalDate> nextChange(LocalDate today) {
    LocalDate first = today.withDayOfMonth(1).plusMonths(1);
    for (int ahead = 0; ahead < 12; ahead++) {
      LocalDate day = first.plusMonths(ahead);
      if (serves(day) != serves(today)) {
        return Optional.of(day);
      }
    }
    return Optional.empty();
  }
}

package dev.lonja.core.meter;

import dev.lonja.core.quantity.MeterValue;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.Optional;

/**
 * What a meter was seen to show.
 *
 * @param id the order of entry, which settles ties of time
 * @param day the store's local day
 * @param at the instant, where one is known
 * @param corrects the reading in whose place this one was entered
 */
public record Reading(
    long id, LocalDate day, Optional<Instant> at, MeterValue value, Optional<Long> corrects) {

  static final Comparator<Reading> BY_TIME =
      Comparator.comparing(Reading::day)
          .thenComparing(reading -> reading.at().orElse(Instant.MIN))
          .thenComparing(Reading::id);

  /** A reading that corrects none. */
  public Reading(long id, LocalDate day, Optional<Instant> at, MeterValue value) {
    this(id, day, at, value, Optional.empty());
  }
}

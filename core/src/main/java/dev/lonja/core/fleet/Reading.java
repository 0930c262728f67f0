package dev.lonja.core.fleet;

import dev.lonja.core.quantity.MeterValue;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.Optional;

/**
 * What a meter was seen to stand at.
 *
 * @param id the order of entry, which settles ties of time
 * @param day the store's local day
 * @param at the instant, where one is known
 */
public record Reading(long id, LocalDate day, Optional<Instant> at, MeterValue value) {

  static final Comparator<Reading> BY_TIME =
      Comparator.comparing(Reading::day)
          .thenComparing(reading -> reading.at().orElse(Instant.MIN))
          .thenComparing(Reading::id);
}

package dev.lonja.core.meter;

import dev.lonja.core.quantity.MeterValue;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;

/**
 * What a meter was seen to show, before it is noted: it has no place in the order of entry yet.
 *
 * @param day the store's local day
 * @param at the instant, where one is known
 * @param corrects the reading in whose place this one is entered
 */
public record NewReading(
    LocalDate day, Optional<Instant> at, MeterValue value, Optional<Long> corrects) {

  /** A reading that corrects none. */
  public NewReading(LocalDate day, Optional<Instant> at, MeterValue value) {
    this(day, at, value, Optional.empty());
  }

  Reading entered(long id) {
    return new Reading(id, day, at, value, corrects);
  }
}

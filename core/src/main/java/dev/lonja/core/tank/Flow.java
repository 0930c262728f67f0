package dev.lonja.core.tank;

import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.quantity.Volume;
import java.time.Instant;
import java.util.Optional;

/**
 * What went into a tank or out of it, by the book.
 *
 * @param volume as it lay
 * @param temperature as stated with a delivery; empty where that of the tank is taken
 */
public record Flow(Instant at, Way way, Volume volume, Optional<Temperature> temperature) {

  /** Where it went. */
  public enum Way {
    DELIVERED,
    /** Handed back, or moved in from another place. */
    RETURNED,
    POURED;

    public boolean isIn() {
      return this != POURED;
    }
  }
}

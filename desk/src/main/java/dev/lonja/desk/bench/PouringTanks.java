package dev.lonja.desk.bench;

import dev.lonja.core.quantity.Volume;
import java.time.Instant;

/** Simulated meters at the taps of tanks, through which something can be made to run. */
public interface PouringTanks {

  /**
   * Lets the meter of a tank count.
   *
   * @param at when it ran, which may be some time ago
   */
  void pour(String tank, Volume volume, Instant at);
}

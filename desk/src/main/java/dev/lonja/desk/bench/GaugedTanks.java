package dev.lonja.desk.bench;

import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Temperature;
import java.time.Instant;
import java.util.Optional;

/** Simulated gauges that can be made to read their tanks. */
public interface GaugedTanks {

  /**
   * Lets the gauge of a tank read.
   *
   * @param at when it read, which may be some time ago
   */
  void read(String tank, Length height, Optional<Temperature> temperature, Instant at);
}

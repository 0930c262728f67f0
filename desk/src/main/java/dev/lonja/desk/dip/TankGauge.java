package dev.lonja.desk.dip;

import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Temperature;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** Gauges that read tanks by themselves. Readings wait until they are acknowledged. */
public interface TankGauge {

  /**
   * What a gauge read.
   *
   * @param tank the name of the tank it sits on
   * @param temperature empty if it has no thermometer
   */
  record Read(
      long number, String tank, Length height, Optional<Temperature> temperature, Instant at) {}

  /** The readings that wait, the oldest first. */
  List<Read> waiting();

  /** Lets go of readings that were taken in. */
  void acknowledge(List<Read> readings);
}

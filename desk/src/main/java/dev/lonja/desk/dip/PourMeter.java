package dev.lonja.desk.dip;

import dev.lonja.core.quantity.Volume;
import java.time.Instant;
import java.util.List;

/** Meters at the taps of tanks. What they counted waits until it is acknowledged. */
public interface PourMeter {

  /**
   * What ran through a meter in one go.
   *
   * @param tank the name of the tank it is at
   */
  record Count(long number, String tank, Volume volume, Instant at) {}

  /** The counts that wait, the oldest first. */
  List<Count> waiting();

  /** Lets go of counts that were taken in. */
  void acknowledge(List<Count> counts);
}

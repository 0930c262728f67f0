package dev.lonja.core.tank;

import dev.lonja.core.quantity.Volume;
import java.time.Instant;

/**
 * What the meter at a tank's tap counted in one go.
 *
 * @param volume as it ran, above zero
 */
public record MeteredPour(Instant at, Volume volume) {

  public MeteredPour {
    if (volume.compareTo(Volume.ZERO) <= 0) {
      throw new IllegalArgumentException(
          "volume is " + volume.display() + "; allowed is more than 0");
    }
  }
}

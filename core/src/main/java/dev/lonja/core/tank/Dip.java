package dev.lonja.core.tank;

import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Temperature;
import java.time.Instant;
import java.util.Optional;

/**
 * How high a fluid stood.
 *
 * @param height from the bottom
 * @param temperature of the fluid; empty if nobody measured it
 * @param byGauge true if a gauge said so, false for a stick or tape read by hand
 * @param agreed true once somebody closed the difference to the book (rules §10)
 */
public record Dip(
    DipId id,
    Instant at,
    Length height,
    Optional<Temperature> temperature,
    boolean byGauge,
    boolean agreed) {

  /** The warmest and coldest that a stored fluid is taken to be; beyond it a unit is mistaken. */
  public static final Temperature COLDEST = new Temperature(-400);

  public static final Temperature WARMEST = new Temperature(650);

  /** True of what no stored fluid is taken to be. */
  public static boolean isOutside(Temperature warmth) {
    return warmth.compareTo(COLDEST) < 0 || warmth.compareTo(WARMEST) > 0;
  }
}

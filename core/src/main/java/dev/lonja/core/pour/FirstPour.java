package dev.lonja.core.pour;

import dev.lonja.core.quantity.Volume;

/**
 * How a measured fill is poured: what goes into the filter beforehand, most of the rest first, and
 * what is held back until the machine has run and the level is read. The three are the fill.
 *
 * @param preFill poured into the new filter before it goes on; zero if nothing is
 */
public record FirstPour(Volume pour, Volume reserve, Volume preFill) {

  /** With nothing in the filter beforehand. */
  public FirstPour(Volume pour, Volume reserve) {
    this(pour, reserve, Volume.ZERO);
  }

  /** All of it, exactly as measured. */
  public static FirstPour allAtOnce(Volume fill) {
    return new FirstPour(fill, Volume.ZERO);
  }

  /**
   * The same with so much of it in the filter beforehand. That counts towards the first pour, which
   * does not fall below zero; what the filter took beyond it comes off the reserve (rules §6).
   */
  public FirstPour after(Volume inFilter) {
    Volume fromPour = inFilter.compareTo(pour) < 0 ? inFilter : pour;
    Volume beyond = inFilter.minus(fromPour);
    Volume fromReserve = beyond.compareTo(reserve) < 0 ? beyond : reserve;
    return new FirstPour(
        pour.minus(fromPour), reserve.minus(fromReserve), preFill.plus(fromPour).plus(fromReserve));
  }
}

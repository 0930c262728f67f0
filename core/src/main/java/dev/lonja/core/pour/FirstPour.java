package dev.lonja.core.pour;

import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;

/**
 * How a measured fill is poured: most of it first, the rest held back until the machine has run and
 * the level is read.
 */
public record FirstPour(Volume pour, Volume reserve) {

  private static final Volume LEAST_HOLD_BACK = Volume.ofLitres("0.30");
  private static final BigDecimal HOLD_BACK_SHARE = new BigDecimal("0.10");
  private static final Volume JUG_GRADUATION = Volume.ofLitres("0.10");

  /**
   * Capacity less the hold-back (10 %, at least 0.30 L), rounded down to the jug's graduation of
   * 0.10 L and not below zero; the reserve is the rest.
   */
  public static FirstPour of(Volume capacity) {
    Volume share = capacity.times(HOLD_BACK_SHARE);
    Volume holdBack = share.compareTo(LEAST_HOLD_BACK) < 0 ? LEAST_HOLD_BACK : share;
    Volume pour =
        holdBack.compareTo(capacity) >= 0
            ? Volume.ZERO
            : capacity.minus(holdBack).roundedDownTo(JUG_GRADUATION);
    return new FirstPour(pour, capacity.minus(pour));
  }
}

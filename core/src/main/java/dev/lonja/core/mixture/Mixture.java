package dev.lonja.core.mixture;

import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Optional;

/**
 * What goes into a circuit, in whole microlitres. Water is demineralised.
 *
 * @param drain to take out first
 * @param product to pour
 * @param water to pour
 * @param share of concentrate in the circuit afterwards
 */
public record Mixture(Volume drain, Volume product, Volume water, BigDecimal share) {

  private static final int SHARE_DECIMALS = 4;

  /**
   * A fresh fill: V·s/c of the product, water the rest; empty if the product is weaker than wanted.
   *
   * @param total that goes in, V
   * @param wanted share, s
   * @param strength of the product, c
   */
  public static Optional<Mixture> fresh(Volume total, BigDecimal wanted, BigDecimal strength) {
    if (strength.compareTo(wanted) < 0) {
      return Optional.empty();
    }
    Volume product = part(total, wanted, strength);
    return Optional.of(new Mixture(Volume.ZERO, product, total.minus(product), wanted));
  }

  /**
   * After a flush with water, of which some stays in: the product into the room that was drained,
   * water to fill up. If there is too little room, all of it is product and the share is the best
   * that can be reached, D·c/V, rounded down; empty if the product is weaker than wanted.
   *
   * @param drained of the total, D
   */
  public static Optional<Mixture> afterFlush(
      Volume total, Volume drained, BigDecimal wanted, BigDecimal strength) {
    if (strength.compareTo(wanted) < 0) {
      return Optional.empty();
    }
    Volume product = part(total, wanted, strength);
    if (product.compareTo(drained) <= 0) {
      return Optional.of(new Mixture(Volume.ZERO, product, drained.minus(product), wanted));
    }
    BigDecimal best =
        BigDecimal.valueOf(drained.microlitres())
            .multiply(strength)
            .divide(BigDecimal.valueOf(total.microlitres()), SHARE_DECIMALS, RoundingMode.DOWN);
    return Optional.of(new Mixture(Volume.ZERO, drained, Volume.ZERO, best));
  }

  /**
   * Puts a fill right: V·(s − s₀)/(c − s₀) is drained and as much of the product poured, or water
   * (c = 0) to make it weaker. Empty if the product is weaker than wanted.
   *
   * @param present share in the circuit, s₀
   */
  public static Optional<Mixture> putRight(
      Volume total, BigDecimal present, BigDecimal wanted, BigDecimal strength) {
    int way = wanted.compareTo(present);
    if (way > 0 && strength.compareTo(wanted) < 0) {
      return Optional.empty();
    }
    if (way == 0) {
      return Optional.of(new Mixture(Volume.ZERO, Volume.ZERO, Volume.ZERO, wanted));
    }
    BigDecimal poured = way > 0 ? strength : BigDecimal.ZERO;
    Volume exchanged = part(total, wanted.subtract(present), poured.subtract(present));
    return Optional.of(
        way > 0
            ? new Mixture(exchanged, exchanged, Volume.ZERO, wanted)
            : new Mixture(exchanged, Volume.ZERO, exchanged, wanted));
  }

  private static Volume part(Volume total, BigDecimal above, BigDecimal below) {
    return total.times(above.divide(below, MathContext.DECIMAL64));
  }
}

package dev.lonja.core.forecast;

import dev.lonja.core.quantity.Quantity;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;

/**
 * How well what was forecast of months that are over agreed with what was used in them (rules §7).
 *
 * @param used in all of them, more than nothing
 * @param missed by how much it was wrong in each, whatever the direction, summed
 */
public record Accuracy(int months, Quantity forecast, Quantity used, Quantity missed) {

  private static final int DECIMALS = 4;

  /** A month of one thing. */
  public record Month(Quantity forecast, Quantity used) {

    private Quantity missed() {
      Quantity off = forecast.minus(used);
      return off.max(off.negated());
    }
  }

  /**
   * @param months at least one, all in one measure
   */
  public static Accuracy of(List<Month> months) {
    return new Accuracy(
        months.size(),
        months.stream().map(Month::forecast).reduce(Quantity::plus).orElseThrow(),
        months.stream().map(Month::used).reduce(Quantity::plus).orElseThrow(),
        months.stream().map(Month::missed).reduce(Quantity::plus).orElseThrow());
  }

  /** True if anything was used; of what was not nothing can be said. */
  public boolean saysAnything() {
    return used.isPositive();
  }

  /**
   * Σ(forecast − used) / Σ used: above 0 where too much was forecast, as a share, to a hundredth of
   * a per cent, rounded half away from zero.
   */
  public BigDecimal bias() {
    return share(forecast.minus(used));
  }

  /** Σ|forecast − used| / Σ used: the weighted absolute percentage error, rounded likewise. */
  public BigDecimal weightedError() {
    return share(missed);
  }

  private BigDecimal share(Quantity of) {
    return of.amount().divide(used.amount(), DECIMALS, RoundingMode.HALF_UP);
  }
}

package dev.lonja.core.reorder;

import dev.lonja.core.quantity.Quantity;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Optional;

/**
 * Stock that lies longer than it should: it covers more than two years, or nothing takes it any
 * more.
 *
 * @param kind why it lies
 * @param surplus how much of it is more than two years take, above zero
 * @param years how long it lasts, to a tenth rounded down; empty if nothing is expected to be used
 */
public record SlowStock(Kind kind, Quantity surplus, Optional<BigDecimal> years) {

  /** So many years of use are enough. */
  public static final int ENOUGH_YEARS = 2;

  /** Why something lies. */
  public enum Kind {
    /** No machine in service names it, though it may stand in for what one names. */
    NO_UNIT,
    /** Machines take it, and nothing of it is expected to be used within a year. */
    NOT_WITHIN_A_YEAR,
    /** It lasts for more than two years. */
    FOR_YEARS
  }

  /**
   * Empty if it does not lie too long, or there is none.
   *
   * @param free usable and on no tray
   * @param yearly what the plan line expects to be used within a year
   * @param taken true if a machine in service names it, or no machine could
   */
  public static Optional<SlowStock> of(Quantity free, Quantity yearly, boolean taken) {
    if (!free.isPositive()) {
      return Optional.empty();
    }
    if (!yearly.isPositive()) {
      return Optional.of(
          new SlowStock(taken ? Kind.NOT_WITHIN_A_YEAR : Kind.NO_UNIT, free, Optional.empty()));
    }
    Quantity enough = yearly.times(BigDecimal.valueOf(ENOUGH_YEARS));
    Quantity surplus = free.minus(enough);
    return surplus.isPositive()
        ? Optional.of(
            new SlowStock(
                Kind.FOR_YEARS,
                surplus,
                Optional.of(free.amount().divide(yearly.amount(), 1, RoundingMode.FLOOR))))
        : Optional.empty();
  }
}

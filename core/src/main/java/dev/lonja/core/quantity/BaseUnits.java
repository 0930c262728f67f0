package dev.lonja.core.quantity;

import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * Rounding into and out of base units: once on the way in, once for display, halves away from zero.
 */
final class BaseUnits {

  private BaseUnits() {}

  /** {@code amount} × {@code basePerUnit} as a whole number of base units; overflow throws. */
  static long from(BigDecimal amount, BigDecimal basePerUnit) {
    return amount.multiply(basePerUnit).setScale(0, RoundingMode.HALF_UP).longValueExact();
  }

  /** {@code base} in units of {@code basePerUnit}, rounded to {@code decimals} places. */
  static BigDecimal to(long base, BigDecimal basePerUnit, int decimals) {
    return BigDecimal.valueOf(base).divide(basePerUnit, decimals, RoundingMode.HALF_UP);
  }

  static String text(long base, BigDecimal basePerUnit, int decimals) {
    return to(base, basePerUnit, decimals).toPlainString();
  }

  /** As {@link #text}, without trailing zeros: at most {@code decimals} places. */
  static String shortText(long base, BigDecimal basePerUnit, int decimals) {
    BigDecimal value = to(base, basePerUnit, decimals).stripTrailingZeros();
    return (value.scale() < 0 ? value.setScale(0) : value).toPlainString();
  }

  static long within(String name, long value, long lowest, long highest) {
    if (value >= lowest && value <= highest) {
      return value;
    }
    throw new IllegalArgumentException(
        name + " is " + value + "; allowed is " + lowest + " to " + highest);
  }
}

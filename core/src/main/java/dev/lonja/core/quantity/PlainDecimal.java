package dev.lonja.core.quantity;

import java.math.BigDecimal;

/**
 * The one way in which an exact decimal becomes text that is read back as the same value: a form's
 * field, a file's cell, a factor within a sentence. A point, no thousands sign, no exponent, no
 * trailing zeros: "0.5", "−" as "-". What rounds for the eye is {@code display()} of each quantity
 * and is never read back.
 */
public final class PlainDecimal {

  private PlainDecimal() {}

  /** The decimal without exponent and without zeros at its end: "0.75", "250". */
  public static String of(BigDecimal value) {
    return value.signum() == 0 ? "0" : value.stripTrailingZeros().toPlainString();
  }

  /**
   * {@code base} / 10<sup>{@code places}</sup>: a number of base units in the unit people write.
   */
  public static String of(long base, int places) {
    return of(BigDecimal.valueOf(base, places));
  }
}

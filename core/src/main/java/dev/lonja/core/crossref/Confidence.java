package dev.lonja.core.crossref;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** How far a statement or a path of them is trusted: above 0, up to and with 1, exact. */
public record Confidence(BigDecimal value) implements Comparable<Confidence> {

  public static final Confidence FULL = of("1");

  public Confidence {
    if (value.signum() <= 0 || value.compareTo(BigDecimal.ONE) > 0) {
      throw new IllegalArgumentException("value is " + value + "; allowed is more than 0, up to 1");
    }
    value = value.stripTrailingZeros();
  }

  /**
   * A confidence written as a decimal, above 0 and up to 1.
   *
   * @throws IllegalArgumentException outside that range
   */
  public static Confidence of(String value) {
    return new Confidence(new BigDecimal(value));
  }

  /** Both together: the product, not rounded. */
  public Confidence times(Confidence other) {
    return new Confidence(value.multiply(other.value));
  }

  /** True if it is the same or higher. */
  public boolean isAtLeast(Confidence limit) {
    return compareTo(limit) >= 0;
  }

  /** With two decimals, cut off, so that what is shown is never more than what holds: "0.89". */
  public String display() {
    return value.setScale(2, RoundingMode.DOWN).toPlainString();
  }

  @Override
  public int compareTo(Confidence other) {
    return value.compareTo(other.value);
  }
}

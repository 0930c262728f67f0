package dev.lonja.core.quantity;

import java.math.BigDecimal;

/**
 * A gauge pressure, such as a bypass valve's opening pressure, held in whole pascals, from 0 to 10
 * GPa. Factories round half away from zero. 1 bar = 100 kPa; 1 psi = 4.4482216152605 N per
 * 0.00064516 m².
 */
public record Pressure(long pascals) implements Comparable<Pressure> {

  private static final BigDecimal BAR = BigDecimal.valueOf(100_000);
  private static final BigDecimal POUND_FORCE = new BigDecimal("4.4482216152605");
  private static final BigDecimal SQUARE_INCH = new BigDecimal("0.00064516");

  public Pressure {
    BaseUnits.within("pascals", pascals, 0, 10_000_000_000L);
  }

  /**
   * Bar of 100 kPa, rounded half away from zero to the pascal.
   *
   * @throws IllegalArgumentException outside the range of this type
   */
  public static Pressure ofBar(BigDecimal bar) {
    return new Pressure(BaseUnits.from(bar, BAR));
  }

  /**
   * Pounds a square inch, rounded half away from zero to the pascal.
   *
   * @throws IllegalArgumentException outside the range of this type
   */
  public static Pressure ofPsi(BigDecimal psi) {
    BigDecimal pascals =
        psi.multiply(POUND_FORCE).divide(SQUARE_INCH, 0, java.math.RoundingMode.HALF_UP);
    return new Pressure(pascals.longValueExact());
  }

  /** In bar, exact: what a form shows and reads back. */
  public String exactText() {
    return PlainDecimal.of(pascals, 5);
  }

  /**
   * In bar with one decimal: "1.2 bar"; what is not zero never reads as zero: below 0.05 bar it is
   * "&lt;0.1 bar".
   */
  public String display() {
    if (pascals > 0 && pascals < 5_000) {
      return "<0.1 bar";
    }
    return BaseUnits.text(pascals, BAR, 1) + " bar";
  }

  /** In bar with two decimals: what a gauge on a hose shows. */
  public BigDecimal roundedToHundredths() {
    return BaseUnits.to(pascals, BAR, 2);
  }

  @Override
  public int compareTo(Pressure other) {
    return Long.compare(pascals, other.pascals);
  }
}

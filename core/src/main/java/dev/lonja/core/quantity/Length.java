package dev.lonja.core.quantity;

import java.math.BigDecimal;

/**
 * A length of a part, held in whole micrometres, from 0 to 1,000 km. Factories round half away from
 * zero. 1 in = 25.4 mm exactly.
 */
public record Length(long micrometres) implements Comparable<Length> {

  private static final BigDecimal MILLIMETRE = BigDecimal.valueOf(1_000);
  private static final BigDecimal INCH = BigDecimal.valueOf(25_400);

  public Length {
    BaseUnits.within("micrometres", micrometres, 0, 1_000_000_000_000L);
  }

  /**
   * Millimetres, rounded half away from zero to the micrometre.
   *
   * @throws IllegalArgumentException outside the range of this type
   */
  public static Length ofMillimetres(BigDecimal millimetres) {
    return new Length(BaseUnits.from(millimetres, MILLIMETRE));
  }

  /**
   * Inches of 25.4 mm, rounded half away from zero to the micrometre.
   *
   * @throws IllegalArgumentException outside the range of this type
   */
  public static Length ofInches(BigDecimal inches) {
    return new Length(BaseUnits.from(inches, INCH));
  }

  /** In millimetres, exact: what a form shows and reads back. */
  public String exactText() {
    return PlainDecimal.of(micrometres, 3);
  }

  /**
   * In millimetres with at most two decimals: "13.5 mm"; what is not zero never reads as zero:
   * below 5 µm it is "&lt;0.01 mm".
   */
  public String display() {
    if (micrometres > 0 && micrometres < 5) {
      return "<0.01 mm";
    }
    return BaseUnits.shortText(micrometres, MILLIMETRE, 2) + " mm";
  }

  @Override
  public int compareTo(Length other) {
    return Long.compare(micrometres, other.micrometres);
  }
}

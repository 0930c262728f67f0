package dev.lonja.core.quantity;

import java.math.BigDecimal;

/**
 * A signed amount of an item: held in millionths of a piece, of a litre (microlitres) or of a
 * kilogram (milligrams). The ledger takes whole pieces only; expected quantities of a forecast may
 * be parts of a piece. Quantities of different measures are never added or compared. Overflow
 * throws.
 */
public record Quantity(Measure measure, long millionths) implements Comparable<Quantity> {

  private static final long ONE = 1_000_000;
  private static final BigDecimal ONE_DECIMAL = BigDecimal.valueOf(ONE);
  private static final BigDecimal GRAM = BigDecimal.valueOf(1_000);
  private static final long HALF_GRAM = 500;

  /** None of what is counted so. */
  public static Quantity zero(Measure measure) {
    return new Quantity(measure, 0);
  }

  /** Whole pieces. */
  public static Quantity pieces(long pieces) {
    return new Quantity(Measure.PIECES, Math.multiplyExact(pieces, ONE));
  }

  /** The volume as litres, exact. */
  public static Quantity of(Volume volume) {
    return new Quantity(Measure.LITRES, volume.microlitres());
  }

  /**
   * Litres written as a decimal, such as "6.40".
   *
   * @throws NumberFormatException if it is no decimal
   */
  public static Quantity litres(String litres) {
    return of(Measure.LITRES, new BigDecimal(litres));
  }

  /**
   * Kilograms written as a decimal, such as "0.4".
   *
   * @throws NumberFormatException if it is no decimal
   */
  public static Quantity kilograms(String kilograms) {
    return of(Measure.KILOGRAMS, new BigDecimal(kilograms));
  }

  /** {@code amount} pieces, litres or kilograms, rounded half away from zero to a millionth. */
  public static Quantity of(Measure measure, BigDecimal amount) {
    return new Quantity(measure, BaseUnits.from(amount, ONE_DECIMAL));
  }

  /**
   * The sum, exact.
   *
   * @throws IllegalArgumentException if the other is counted otherwise: pieces are no litres
   */
  public Quantity plus(Quantity other) {
    return new Quantity(measure, Math.addExact(millionths, same(other).millionths));
  }

  /**
   * The difference, exact; it may be below zero.
   *
   * @throws IllegalArgumentException if the other is counted otherwise
   */
  public Quantity minus(Quantity other) {
    return new Quantity(measure, Math.subtractExact(millionths, same(other).millionths));
  }

  /** The same with the other sign. */
  public Quantity negated() {
    return new Quantity(measure, Math.negateExact(millionths));
  }

  /** × {@code factor}, rounded half away from zero to a millionth. */
  public Quantity times(BigDecimal factor) {
    return new Quantity(measure, BaseUnits.from(factor, BigDecimal.valueOf(millionths)));
  }

  /** This, or none if it is below zero. */
  public Quantity atLeastZero() {
    return isNegative() ? zero(measure) : this;
  }

  /**
   * The smaller of the two.
   *
   * @throws IllegalArgumentException if the other is counted otherwise
   */
  public Quantity min(Quantity other) {
    return compareTo(other) <= 0 ? this : other;
  }

  /** The larger of both. */
  public Quantity max(Quantity other) {
    return compareTo(other) >= 0 ? this : other;
  }

  public boolean isZero() {
    return millionths == 0;
  }

  public boolean isPositive() {
    return millionths > 0;
  }

  public boolean isNegative() {
    return millionths < 0;
  }

  /** False only for a count of pieces that holds a part of one. */
  public boolean isCountable() {
    return measure != Measure.PIECES || millionths % ONE == 0;
  }

  /** In pieces, litres or kilograms, exact. */
  public BigDecimal amount() {
    return BigDecimal.valueOf(millionths, 6);
  }

  /** In its measure, exact: "6.528", "2"; what a form shows and reads back. */
  public String exactText() {
    return PlainDecimal.of(millionths, 6);
  }

  /**
   * Litres as {@link Volume#display}; less than a kilogram in whole grams, else kilograms with two
   * decimals: "12 g", "1.50 kg"; pieces with at most two decimals and no unit, as a counter reads
   * them: "2", "0.3". What is not zero never reads as zero: below 0.005 pieces it is "&lt;0.01".
   */
  public String display() {
    String sign = isNegative() ? "−" : "";
    long size = Math.absExact(millionths);
    if (measure == Measure.LITRES) {
      return sign + new Volume(size).display();
    }
    if (measure == Measure.KILOGRAMS) {
      return sign + mass(size);
    }
    String text = BaseUnits.shortText(size, ONE_DECIMAL, 2);
    return text.equals("0") && size > 0 ? "<0.01" : sign + text;
  }

  private static String mass(long milligrams) {
    if (milligrams > 0 && milligrams < HALF_GRAM) {
      return "<1 g";
    }
    return milligrams < ONE - HALF_GRAM
        ? BaseUnits.text(milligrams, GRAM, 0) + " g"
        : BaseUnits.text(milligrams, ONE_DECIMAL, 2) + " kg";
  }

  @Override
  public int compareTo(Quantity other) {
    return Long.compare(millionths, same(other).millionths);
  }

  private Quantity same(Quantity other) {
    if (measure != other.measure) {
      throw new IllegalArgumentException(
          "measure is " + other.measure.symbol() + "; allowed is " + measure.symbol());
    }
    return other;
  }
}

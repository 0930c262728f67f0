package dev.lonja.core.quantity;

import java.math.BigDecimal;
import java.util.Optional;

/**
 * What a meter stands at: a point on its scale, held in whole tenths of an hour or kilometre, from
 * 0 to ten million. Two values have a difference, not a sum. Factories round half away from zero.
 */
public record MeterValue(long tenths, MeterMeasure measure) implements Comparable<MeterValue> {

  /** In kilometres, exact. */
  private static final BigDecimal MILE = new BigDecimal("1.609344");

  static final long HIGHEST = 10L * Limits.METER;

  public MeterValue {
    BaseUnits.within("tenths", tenths, 0, HIGHEST);
  }

  /**
   * Hours or kilometres, rounded half away from zero to a tenth.
   *
   * @throws IllegalArgumentException outside the range of this type
   */
  public static MeterValue of(BigDecimal amount, MeterMeasure measure) {
    return new MeterValue(BaseUnits.from(amount, BigDecimal.TEN), measure);
  }

  /**
   * Hours written as a decimal, such as "1585.5".
   *
   * @throws NumberFormatException if it is no decimal
   * @throws IllegalArgumentException outside the range of this type
   */
  public static MeterValue ofHours(String hours) {
    return of(new BigDecimal(hours), MeterMeasure.HOURS);
  }

  /**
   * Kilometres written as a decimal.
   *
   * @throws NumberFormatException if it is no decimal
   * @throws IllegalArgumentException outside the range of this type
   */
  public static MeterValue ofKilometres(String kilometres) {
    return of(new BigDecimal(kilometres), MeterMeasure.KILOMETRES);
  }

  /**
   * The value after so much has been run.
   *
   * @throws IllegalArgumentException if the span is of another measure, or the sum out of range
   */
  public MeterValue plus(MeterSpan span) {
    requireSame(span.measure());
    return new MeterValue(Math.addExact(tenths, span.tenths()), measure);
  }

  /** How far this value lies beyond {@code earlier}; a later one is refused with an exception. */
  public MeterSpan since(MeterValue earlier) {
    requireSame(earlier.measure);
    return new MeterSpan(tenths - earlier.tenths, measure);
  }

  /** In hours or kilometres, exact. */
  public BigDecimal amount() {
    return BigDecimal.valueOf(tenths, 1);
  }

  /** In hours or kilometres, exact: what a form shows and reads back. */
  public String exactText() {
    return PlainDecimal.of(tenths, 1);
  }

  /** "1,585 h", "1,585.5 h": thousands set apart, at most one decimal. */
  public String display() {
    return text(tenths) + " " + measure.symbol();
  }

  /**
   * US customary: "69,842.1 mi" of 1.609344 km, at most one decimal, halves away from zero; empty
   * for hours.
   */
  public Optional<String> displayUs() {
    return displayUs(tenths, measure);
  }

  static Optional<String> displayUs(long tenths, MeterMeasure measure) {
    return measure == MeterMeasure.KILOMETRES
        ? Optional.of(text(BaseUnits.to(tenths, MILE, 0).longValueExact()) + " mi")
        : Optional.empty();
  }

  static String text(long tenths) {
    String whole = Thousands.apart(tenths / 10);
    return tenths % 10 == 0 ? whole : whole + "." + tenths % 10;
  }

  @Override
  public int compareTo(MeterValue other) {
    requireSame(other.measure);
    return Long.compare(tenths, other.tenths);
  }

  private void requireSame(MeterMeasure other) {
    if (measure != other) {
      throw new IllegalArgumentException(
          "measure is " + other.symbol() + "; allowed is " + measure.symbol());
    }
  }
}

package dev.lonja.core.quantity;

import java.math.BigDecimal;
import java.util.Optional;

/**
 * Time run or distance covered: the difference of two meter values, or an interval. Held in whole
 * tenths of an hour or kilometre, zero or more. Factories round half away from zero.
 */
public record MeterSpan(long tenths, MeterMeasure measure) implements Comparable<MeterSpan> {

  public MeterSpan {
    BaseUnits.within("tenths", tenths, 0, MeterValue.HIGHEST);
  }

  /**
   * Hours or kilometres, rounded half away from zero to a tenth.
   *
   * @throws IllegalArgumentException outside the range of this type
   */
  public static MeterSpan of(BigDecimal amount, MeterMeasure measure) {
    return new MeterSpan(BaseUnits.from(amount, BigDecimal.TEN), measure);
  }

  /**
   * Hours written as a decimal, such as "250".
   *
   * @throws NumberFormatException if it is no decimal
   * @throws IllegalArgumentException outside the range of this type
   */
  public static MeterSpan ofHours(String hours) {
    return of(new BigDecimal(hours), MeterMeasure.HOURS);
  }

  /**
   * Kilometres written as a decimal.
   *
   * @throws NumberFormatException if it is no decimal
   * @throws IllegalArgumentException outside the range of this type
   */
  public static MeterSpan ofKilometres(String kilometres) {
    return of(new BigDecimal(kilometres), MeterMeasure.KILOMETRES);
  }

  /** × {@code factor}, rounded half away from zero to a tenth. */
  public MeterSpan times(BigDecimal factor) {
    return new MeterSpan(BaseUnits.from(factor, BigDecimal.valueOf(tenths)), measure);
  }

  /** In hours or kilometres, exact: what a form shows and reads back. */
  public String exactText() {
    return PlainDecimal.of(tenths, 1);
  }

  /** "250 h", "75.5 h", "20,000 km": thousands set apart, at most one decimal. */
  public String display() {
    return MeterValue.text(tenths) + " " + measure.symbol();
  }

  /** The same in US customary units; empty for hours. */
  public Optional<String> displayUs() {
    return MeterValue.displayUs(tenths, measure);
  }

  @Override
  public int compareTo(MeterSpan other) {
    if (measure != other.measure) {
      throw new IllegalArgumentException(
          "measure is " + other.measure.symbol() + "; allowed is " + measure.symbol());
    }
    return Long.compare(tenths, other.tenths);
  }
}

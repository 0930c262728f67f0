package dev.lonja.core.quantity;

import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * A temperature, a point on the Celsius scale held in whole tenths of a degree, from −273.1 °C to
 * 2,000 °C. Factories round half away from zero. °F = °C × 9/5 + 32.
 */
public record Temperature(int tenthsCelsius) implements Comparable<Temperature> {

  private static final BigDecimal DEGREE = BigDecimal.TEN;

  public Temperature {
    BaseUnits.within("tenthsCelsius", tenthsCelsius, -2_731, 20_000);
  }

  /**
   * Degrees Celsius, rounded half away from zero to a tenth.
   *
   * @throws IllegalArgumentException outside the range of this type
   */
  public static Temperature ofCelsius(BigDecimal degrees) {
    return new Temperature(Math.toIntExact(BaseUnits.from(degrees, DEGREE)));
  }

  /**
   * Degrees Fahrenheit, rounded half away from zero to a tenth of a degree Celsius.
   *
   * @throws IllegalArgumentException outside the range of this type
   */
  public static Temperature ofFahrenheit(BigDecimal degrees) {
    BigDecimal tenths =
        degrees
            .subtract(BigDecimal.valueOf(32))
            .multiply(BigDecimal.valueOf(50))
            .divide(BigDecimal.valueOf(9), 0, RoundingMode.HALF_UP);
    return new Temperature(tenths.intValueExact());
  }

  /** In °C with an ASCII minus, exact: what a form shows and reads back. */
  public String exactText() {
    return PlainDecimal.of(tenthsCelsius, 1);
  }

  /** "31 °C", "−7.5 °C". */
  public String display() {
    return BaseUnits.shortText(tenthsCelsius, DEGREE, 1).replace('-', '−') + " °C";
  }

  @Override
  public int compareTo(Temperature other) {
    return Integer.compare(tenthsCelsius, other.tenthsCelsius);
  }
}

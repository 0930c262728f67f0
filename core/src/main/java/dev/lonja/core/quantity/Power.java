package dev.lonja.core.quantity;

import java.math.BigDecimal;

/**
 * The power of an engine, held in whole watts, from 1 W to 100 MW. Factories round half away from
 * zero. 1 hp = 550 ft·lbf/s = 745.69987158227022 W; 1 metric horsepower = 75 kgf·m/s = 735.49875 W.
 */
public record Power(long watts) implements Comparable<Power> {

  private static final BigDecimal KILOWATT = BigDecimal.valueOf(1_000);
  private static final BigDecimal HORSEPOWER = new BigDecimal("745.69987158227022");
  private static final BigDecimal METRIC_HORSEPOWER = new BigDecimal("735.49875");

  public Power {
    BaseUnits.within("watts", watts, 1, 100_000_000);
  }

  /**
   * Kilowatts, rounded half away from zero to the watt.
   *
   * @throws IllegalArgumentException outside the range of this type
   */
  public static Power ofKilowatts(BigDecimal kilowatts) {
    return new Power(BaseUnits.from(kilowatts, KILOWATT));
  }

  /**
   * Mechanical horsepower, rounded half away from zero to the watt.
   *
   * @throws IllegalArgumentException outside the range of this type
   */
  public static Power ofHorsepower(BigDecimal horsepower) {
    return new Power(BaseUnits.from(horsepower, HORSEPOWER));
  }

  /**
   * Metric horsepower, rounded half away from zero to the watt.
   *
   * @throws IllegalArgumentException outside the range of this type
   */
  public static Power ofMetricHorsepower(BigDecimal horsepower) {
    return new Power(BaseUnits.from(horsepower, METRIC_HORSEPOWER));
  }

  /** In kilowatts, exact: what a form shows and reads back. */
  public String exactText() {
    return PlainDecimal.of(watts, 3);
  }

  /** "3.7 kW", exact, without trailing zeros. */
  public String display() {
    return exactText() + " kW";
  }

  @Override
  public int compareTo(Power other) {
    return Long.compare(watts, other.watts);
  }
}

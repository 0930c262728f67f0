package dev.lonja.core.quantity;

import java.math.BigDecimal;

/**
 * A voltage, such as a battery's at rest, held in whole millivolts, from 0 to 1,000 V. The factory
 * rounds half away from zero.
 */
public record Voltage(long millivolts) implements Comparable<Voltage> {

  private static final BigDecimal VOLT = BigDecimal.valueOf(1_000);

  public Voltage {
    BaseUnits.within("millivolts", millivolts, 0, 1_000_000);
  }

  /**
   * Volts, rounded half away from zero to the millivolt.
   *
   * @throws IllegalArgumentException outside the range of this type
   */
  public static Voltage ofVolts(BigDecimal volts) {
    return new Voltage(BaseUnits.from(volts, VOLT));
  }

  /** "12.62 V", at most two decimals; what is not zero never reads as zero. */
  public String display() {
    return millivolts > 0 && millivolts < 5
        ? "<0.01 V"
        : BaseUnits.shortText(millivolts, VOLT, 2) + " V";
  }

  @Override
  public int compareTo(Voltage other) {
    return Long.compare(millivolts, other.millivolts);
  }
}

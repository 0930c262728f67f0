package dev.lonja.core.mixture;

import dev.lonja.core.quantity.Temperature;
import java.math.BigDecimal;
import java.util.Optional;

/**
 * How a store mixes where the book says nothing.
 *
 * @param coolantShare of concentrate in coolant, 0.33 to 0.60
 * @param coldest the lowest temperature of the store's months, if it has said
 */
public record MixPolicy(BigDecimal coolantShare, Optional<Temperature> coldest) {

  public static final BigDecimal LEAST_COOLANT = new BigDecimal("0.33");
  public static final BigDecimal MOST_COOLANT = new BigDecimal("0.60");
  public static final BigDecimal USUAL_COOLANT = new BigDecimal("0.50");
  private static final int BELOW_COLDEST_TENTHS = 50;

  public static final MixPolicy USUAL = new MixPolicy(USUAL_COOLANT, Optional.empty());

  /**
   * @throws IllegalArgumentException for a share outside its range
   */
  public MixPolicy {
    if (coolantShare.compareTo(LEAST_COOLANT) < 0 || coolantShare.compareTo(MOST_COOLANT) > 0) {
      throw new IllegalArgumentException(
          "coolantShare is "
              + coolantShare.toPlainString()
              + "; allowed is "
              + LEAST_COOLANT
              + " to "
              + MOST_COOLANT);
    }
  }

  /** Five degrees below the coldest month. */
  public Optional<Temperature> frost() {
    return coldest.map(low -> new Temperature(low.tenthsCelsius() - BELOW_COLDEST_TENTHS));
  }
}

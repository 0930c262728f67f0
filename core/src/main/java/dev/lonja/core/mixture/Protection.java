package dev.lonja.core.mixture;

import dev.lonja.core.quantity.Temperature;
import java.math.BigDecimal;
import java.util.Optional;

/**
 * What a circuit's book asks of its mixture; of both the stronger counts.
 *
 * @param downTo it must not freeze above this
 * @param share of concentrate by volume, above 0 and up to 1
 */
public record Protection(Optional<Temperature> downTo, Optional<BigDecimal> share) {

  /** The book says nothing. */
  public static final Protection UNSAID = new Protection(Optional.empty(), Optional.empty());

  /**
   * @throws IllegalArgumentException unless the share is above 0 and up to 1
   */
  public Protection {
    if (share
        .filter(part -> part.signum() <= 0 || part.compareTo(BigDecimal.ONE) > 0)
        .isPresent()) {
      throw new IllegalArgumentException(
          "share is " + share.get().toPlainString() + "; allowed is above 0, up to 1");
    }
  }

  public boolean isSaid() {
    return downTo.isPresent() || share.isPresent();
  }
}

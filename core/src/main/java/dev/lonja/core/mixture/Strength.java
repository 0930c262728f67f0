package dev.lonja.core.mixture;

import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;

/**
 * How strong a product is as it comes, and when its mixtures freeze.
 *
 * @param share of concentrate by volume, above 0: 1 for the concentrate itself, less for what is
 *     ready mixed
 * @param own freeze points from its label, by the share in the circuit
 */
public record Strength(BigDecimal share, Optional<Glycol> glycol, Optional<FreezeTable> own) {

  /**
   * @throws IllegalArgumentException unless the share is above 0 and up to 1
   */
  public Strength {
    if (share.signum() <= 0 || share.compareTo(BigDecimal.ONE) > 0) {
      throw new IllegalArgumentException(
          "share is " + share.toPlainString() + "; allowed is above 0, up to 1");
    }
  }

  public boolean isConcentrate() {
    return share.compareTo(BigDecimal.ONE) == 0;
  }

  /** Freeze points, with whether they are the general ones of its glycol. */
  public record Freezing(FreezeTable table, boolean isGeneral) {}

  /** Its own freeze points, else the general ones; empty if nothing is known. */
  public Optional<Freezing> freezing(Map<Glycol, FreezeTable> general) {
    return own.map(table -> new Freezing(table, false))
        .or(
            () ->
                glycol
                    .flatMap(kind -> Optional.ofNullable(general.get(kind)))
                    .map(table -> new Freezing(table, true)));
  }
}

package dev.lonja.core.reorder;

import dev.lonja.core.item.Criticality;
import dev.lonja.core.quantity.Quantity;
import java.util.Optional;

/**
 * On what an order of one thing depends.
 *
 * @param pack what it is sold in multiples of, above zero
 * @param smallest the least that can be ordered, above zero
 * @param least what its bins are to hold always, zero or more
 * @param most what its bins may hold; empty if nobody said
 */
public record OrderTerms(
    LeadTime lead,
    Criticality criticality,
    Quantity pack,
    Quantity smallest,
    Quantity least,
    Optional<Quantity> most) {

  public OrderTerms {
    if (!pack.isPositive() || !smallest.isPositive()) {
      throw new IllegalArgumentException(
          "pack is "
              + pack.display()
              + ", smallest "
              + smallest.display()
              + "; allowed is more than 0");
    }
  }
}

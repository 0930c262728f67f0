package dev.lonja.core.reorder;

import dev.lonja.core.item.Criticality;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.supplier.Deliveries;
import dev.lonja.core.supplier.Prices;
import java.util.Optional;

/**
 * On what an order of one thing depends.
 *
 * @param prices of one, of which the breaks may be worth more
 * @param pack what it is sold in multiples of, above zero
 * @param smallest the least that can be ordered, above zero
 * @param room for how much there is room and for how long it keeps
 * @param coverDays for how long an order is to last, above zero
 */
public record OrderTerms(
    LeadTime lead,
    Deliveries deliveries,
    Criticality criticality,
    Prices prices,
    Quantity pack,
    Quantity smallest,
    Room room,
    int coverDays) {

  /**
   * What bounds what is kept.
   *
   * @param least what its bins are to hold always, zero or more
   * @param most what its bins may hold; empty if nobody said
   * @param shelfDays for how many days it keeps from the day it comes; empty if for ever
   */
  public record Room(Quantity least, Optional<Quantity> most, Optional<Integer> shelfDays) {}

  /** For as long as orders usually last. */
  public OrderTerms(
      LeadTime lead,
      Deliveries deliveries,
      Criticality criticality,
      Prices prices,
      Quantity pack,
      Quantity smallest,
      Room room) {
    this(lead, deliveries, criticality, prices, pack, smallest, room, Reordering.COVER_DAYS);
  }

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

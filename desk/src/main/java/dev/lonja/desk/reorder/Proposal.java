package dev.lonja.desk.reorder;

import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Item;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.reorder.OrderTerms;
import dev.lonja.core.reorder.Reordering;
import dev.lonja.core.supplier.Supply;

/**
 * What is proposed to be ordered of one thing.
 *
 * @param item in which it comes; of a fluid one of its packs
 * @param supply from whom, on which terms
 * @param cost of the amount
 */
public record Proposal(
    Subject subject,
    Item item,
    Supply supply,
    OrderTerms terms,
    Reordering reordering,
    Money cost) {

  /** True if it is to be ordered today or within the days until somebody looks again. */
  public boolean isDue() {
    return reordering.isWanted() || reordering.isLate();
  }
}

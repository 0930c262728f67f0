package dev.lonja.core.supplier;

import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;

/**
 * On what terms a supplier sells an item.
 *
 * @param orderNumber what the supplier calls it; may be empty
 * @param pack what it is sold in multiples of
 * @param least the least that can be ordered
 */
public record Supply(
    Supplier supplier, String orderNumber, Prices prices, Quantity pack, Quantity least) {

  /** The price of one in an order of less than any break. */
  public UnitPrice price() {
    return prices.base();
  }

  /** What so much costs in one order. */
  public Money costOf(Quantity ordered) {
    return prices.costOf(ordered);
  }
}

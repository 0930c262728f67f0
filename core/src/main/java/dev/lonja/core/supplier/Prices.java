package dev.lonja.core.supplier;

import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import java.util.Comparator;
import java.util.List;

/**
 * What one piece, litre or kilogram costs: so much, and something else in orders from certain
 * quantities on.
 *
 * @param breaks in rising order of their quantities, whatever order they were given in
 */
public record Prices(UnitPrice base, List<Break> breaks) {

  /**
   * Another price for orders of at least so much, for all of it.
   *
   * @param from more than nothing
   */
  public record Break(Quantity from, UnitPrice price) {}

  public Prices {
    breaks = breaks.stream().sorted(Comparator.comparing(Break::from)).toList();
  }

  /** The same price for any quantity. */
  public static Prices of(UnitPrice base) {
    return new Prices(base, List.of());
  }

  /** The price of one in an order of so much: that of the highest break which it reaches. */
  public UnitPrice at(Quantity ordered) {
    UnitPrice price = base;
    for (Break each : breaks) {
      if (each.from().compareTo(ordered) <= 0) {
        price = each.price();
      }
    }
    return price;
  }

  /** What so much costs in one order. */
  public Money costOf(Quantity ordered) {
    return at(ordered).valueOf(ordered);
  }
}

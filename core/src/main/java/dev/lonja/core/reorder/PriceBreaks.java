package dev.lonja.core.reorder;

import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.supplier.Prices;
import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * Whether an order is worth raising to where one costs less (rules §8). Breaks are tried from the
 * smallest up, each against the quantity and price reached so far. One is taken if what all of it
 * costs less exceeds what keeping the rest of it costs: at 18 % of its price a year, for half the
 * time in which so much is used.
 */
final class PriceBreaks {

  private static final BigDecimal TWICE_PER_CENT = BigDecimal.valueOf(200);
  private static final BigDecimal KEEPING = BigDecimal.valueOf(FreeFreight.KEEPING_PER_CENT);

  private PriceBreaks() {}

  /**
   * How much to order.
   *
   * @param wanted anyway, in packs, more than nothing
   * @param yearly what a year uses; of what is not used none is bought for its price
   * @param most that may be ordered
   */
  static Quantity raised(
      Quantity wanted, Prices prices, Quantity pack, Quantity yearly, Quantity most) {
    Quantity reached = wanted;
    for (Prices.Break each : prices.breaks()) {
      Quantity whole = inPacks(each.from(), pack, RoundingMode.CEILING);
      boolean isMore = whole.compareTo(reached) > 0 && whole.compareTo(most) <= 0;
      if (isMore && pays(reached, whole, prices, yearly)) {
        reached = whole;
      }
    }
    return reached;
  }

  /**
   * whole × saved &gt; extra × price × 18 % × (whole / yearly) / 2, from which whole is taken out.
   */
  private static boolean pays(Quantity reached, Quantity whole, Prices prices, Quantity yearly) {
    BigDecimal price = amount(prices.at(whole));
    BigDecimal saved = amount(prices.at(reached)).subtract(price);
    BigDecimal extra = whole.minus(reached).amount();
    return saved
            .multiply(yearly.amount())
            .multiply(TWICE_PER_CENT)
            .compareTo(extra.multiply(price).multiply(KEEPING))
        > 0;
  }

  private static BigDecimal amount(UnitPrice price) {
    return BigDecimal.valueOf(price.tenThousandthsOfMinor());
  }

  /** So much in whole packs, rounded as said. */
  static Quantity inPacks(Quantity amount, Quantity pack, RoundingMode rounding) {
    BigDecimal packs = amount.amount().divide(pack.amount(), 0, rounding);
    return Quantity.of(amount.measure(), packs.multiply(pack.amount()));
  }
}

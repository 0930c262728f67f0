package dev.lonja.core.choice;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a product costs where it is kept.
 *
 * @param litre the price of one
 * @param holding a year, whatever is used
 */
public record ProductCost(UnitPrice litre, Money holding) {

  private static final BigDecimal HOLDING_RATE = new BigDecimal("0.18");

  /**
   * A litre costs what the cheapest pack is bought for, else what stock is worth, of the first pack
   * that is worth anything. Keeping the product costs the stated amount and 18 % of one of its
   * packs, the smallest, rounded half up to minor units. Empty if no price is known.
   *
   * @param packs of the product, one at least
   * @param bought the lowest price of a litre by item, for those that somebody sells
   * @param worth of a litre on the shelf by item
   */
  public static Optional<ProductCost> of(
      List<Item> packs,
      Map<ItemId, UnitPrice> bought,
      Map<ItemId, UnitPrice> worth,
      Money holding) {
    Comparator<UnitPrice> cheapest = Comparator.comparing(UnitPrice::tenThousandthsOfMinor);
    return packs.stream()
        .flatMap(item -> Optional.ofNullable(bought.get(item.id())).stream())
        .min(cheapest)
        .or(
            () ->
                packs.stream()
                    .flatMap(item -> Optional.ofNullable(worth.get(item.id())).stream())
                    .filter(price -> price.tenThousandthsOfMinor() > 0)
                    .findFirst())
        .map(litre -> new ProductCost(litre, holding.plus(ofKeepingOne(litre, packs))));
  }

  private static Money ofKeepingOne(UnitPrice litre, List<Item> packs) {
    Volume smallest =
        packs.stream()
            .flatMap(item -> item.litres().stream())
            .min(Comparator.naturalOrder())
            .orElseThrow();
    Money pack = litre.valueOf(Quantity.of(smallest));
    long minor =
        HOLDING_RATE
            .multiply(BigDecimal.valueOf(pack.minor()))
            .setScale(0, RoundingMode.HALF_UP)
            .longValueExact();
    return new Money(minor, pack.currency());
  }
}

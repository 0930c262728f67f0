package dev.lonja.core.choice;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.PartId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import java.math.BigDecimal;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A drum of 205 L (item 1) and a can of 20 L (item 2); keeping a product costs 40.00 a year. */
class ProductCostTest {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final Money FORTY = new Money(4_000, EUR);
  private static final List<Item> PACKS = List.of(pack(1, "205"), pack(2, "20"));

  private static Item pack(long id, String litres) {
    return new Item(
        new ItemId(id),
        new PartId(id),
        "Maretta",
        "FA " + id,
        "",
        Family.FLUID,
        Measure.LITRES,
        Optional.empty(),
        Optional.of(Quantity.litres(litres)),
        Optional.empty(),
        new Item.Bin(new BinId(1), "D-01", 1),
        Item.Keeping.PLAIN,
        0);
  }

  private static Map<ItemId, UnitPrice> prices(String drum, String can) {
    return Map.of(new ItemId(1), price(drum), new ItemId(2), price(can));
  }

  private static UnitPrice price(String perLitre) {
    return UnitPrice.of(new BigDecimal(perLitre), EUR);
  }

  /**
   * The drum is cheaper by the litre: 3.00. The smallest pack, the can, is worth 20 × 3 = 60.00; 18
   * % of it are 10.80, and 40.00 beside.
   */
  @Test
  void theCheapestPackSetsThePriceAndTheSmallestWhatItCostsToKeep() {
    ProductCost cost =
        ProductCost.of(PACKS, prices("3", "4.2"), prices("9", "9"), FORTY).orElseThrow();
    assertThat(cost.litre()).isEqualTo(price("3"));
    assertThat(cost.holding()).isEqualTo(new Money(5_080, EUR));
  }

  /** Nobody sells it; the drum is worth nothing, the can 4.25 a litre: 85.00, 18 % are 15.30. */
  @Test
  void whatStockIsWorthCountsWhereNobodySells() {
    ProductCost cost = ProductCost.of(PACKS, Map.of(), prices("0", "4.25"), FORTY).orElseThrow();
    assertThat(cost.litre()).isEqualTo(price("4.25"));
    assertThat(cost.holding()).isEqualTo(new Money(5_530, EUR));
  }

  @Test
  void withoutAPriceAProductIsNoOffer() {
    assertThat(ProductCost.of(PACKS, Map.of(), prices("0", "0"), FORTY)).isEmpty();
    assertThat(ProductCost.of(List.of(), Map.of(), Map.of(), FORTY)).isEmpty();
  }
}

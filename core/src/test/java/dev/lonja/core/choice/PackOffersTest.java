package dev.lonja.core.choice;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.LotInBin;
import dev.lonja.core.ledger.StockedLot;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.PartId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.supplier.Deliveries;
import dev.lonja.core.supplier.Prices;
import dev.lonja.core.supplier.Supplier;
import dev.lonja.core.supplier.SupplierId;
import dev.lonja.core.supplier.Supply;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A can of 5 L that keeps 1,000 days sealed and 100 opened. */
class PackOffersTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final Currency EUR = Currency.getInstance("EUR");
  private static final Product FARO =
      new Product(
          new ProductId(1),
          "Maretta",
          "Faro",
          FluidKind.ENGINE_OIL,
          "15W-40",
          "",
          List.of(),
          Product.Data.UNKNOWN,
          0);
  private static final Item CAN =
      new Item(
          new ItemId(4),
          new PartId(4),
          "Maretta",
          "FA 15-5",
          "",
          Family.FLUID,
          Measure.LITRES,
          Optional.of(FARO),
          Optional.of(Quantity.litres("5")),
          Optional.empty(),
          new Item.Bin(new BinId(1), "D-01", 1),
          new Item.Keeping(Optional.of(1_000), Optional.of(100), false, Optional.empty()),
          0);

  private static UnitPrice price(String perLitre) {
    return UnitPrice.of(new BigDecimal(perLitre), EUR);
  }

  private static Supply sold(String perLitre, String least) {
    return new Supply(
        new Supplier(new SupplierId(1), "Isla Lubricants", 7, Deliveries.ANY_DAY, Optional.empty()),
        "",
        Prices.of(price(perLitre)),
        Quantity.litres("5"),
        Quantity.litres(least));
  }

  private static Optional<Pack> forSale(Optional<Quantity> room, Supply... supplies) {
    return PackOffers.forSale(CAN, List.of(supplies), room);
  }

  /** 4.10 a litre is dearer than 4.00: a can costs 20.00; 12 L at least are three cans. */
  @Test
  void theLowestPriceCountsWithItsLeastOrder() {
    Pack pack = forSale(Optional.empty(), sold("4.10", "5"), sold("4.00", "12")).orElseThrow();
    assertThat(pack.price().minor()).isEqualTo(2_000);
    assertThat(pack.least()).isEqualTo(3);
    assertThat(pack.shelfDays()).contains(1_000);
    assertThat(pack.openDays()).contains(100);
    assertThat(pack.exist()).isEmpty();
  }

  /** Into 14.9 L two cans go whole; into 4.9 L none does, nor into less than nothing. */
  @Test
  void onlyWhatTheBinsHaveRoomForIsOffered() {
    assertThat(forSale(Optional.of(Quantity.litres("14.9")), sold("4", "0.5")))
        .hasValueSatisfying(
            pack -> {
              assertThat(pack.exist()).contains(2);
              assertThat(pack.least()).isEqualTo(1);
            });
    assertThat(forSale(Optional.of(Quantity.litres("4.9")), sold("4", "5"))).isEmpty();
    assertThat(forSale(Optional.of(Quantity.litres("-3")), sold("4", "5"))).isEmpty();
  }

  @Test
  void whatNobodySellsIsNotOffered() {
    assertThat(forSale(Optional.empty())).isEmpty();
  }

  private static StockedLot lot(long id, String litres, String expires, boolean open) {
    return new StockedLot(
        new LotInBin(CAN.id(), new LotId(id), new BinId(1)),
        LotCondition.NEW,
        TODAY.minusDays(30),
        Optional.of(LocalDate.parse(expires)),
        false,
        open ? Optional.of(TODAY.minusDays(10)) : Optional.empty(),
        Quantity.litres(litres));
  }

  private static List<Pack> onTheShelf(String free, StockedLot... lots) {
    return PackOffers.onTheShelf(CAN, price("4"), Quantity.litres(free), List.of(lots), TODAY);
  }

  /**
   * 13 L free: 3 in an open can that keeps 30 days more, at 12.00, and two cans at 20.00. Trays
   * hold the third can, of which there are 15 L sealed.
   */
  @Test
  void anOpenCanGoesBeforeTheSealedOnes() {
    List<Pack> shelf =
        onTheShelf("13", lot(1, "15", "2029-01-01", false), lot(2, "3", "2027-04-14", true));
    assertThat(shelf).hasSize(2);
    Pack open = shelf.get(0);
    assertThat(open.origin()).isEqualTo(new Pack.Origin.Opened(CAN.id(), new LotId(2)));
    assertThat(open.litres()).isEqualTo(Volume.ofLitres("3"));
    assertThat(open.price().minor()).isEqualTo(1_200);
    assertThat(open.shelfDays()).contains(30);
    assertThat(open.exist()).contains(1);
    Pack sealed = shelf.get(1);
    assertThat(sealed.origin()).isEqualTo(new Pack.Origin.Sealed(CAN.id()));
    assertThat(sealed.exist()).contains(2);
  }

  /** An open can past its day is not offered; of 2 L that are free, 2 of its 3 are. */
  @Test
  void onlyWhatIsFreeAndGoodIsOffered() {
    assertThat(onTheShelf("2", lot(2, "3", "2027-04-14", true)))
        .singleElement()
        .satisfies(open -> assertThat(open.litres()).isEqualTo(Volume.ofLitres("2")));
    assertThat(onTheShelf("4.9", lot(2, "3", "2027-03-14", true))).isEmpty();
  }
}

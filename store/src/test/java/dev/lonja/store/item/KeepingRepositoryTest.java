package dev.lonja.store.item;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemBin;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.item.Supplier;
import dev.lonja.core.item.Supply;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.store.ExampleStore;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** How items are kept, on a real file with the example store; item 8 is an oil filter. */
class KeepingRepositoryTest {

  private static final ItemId FILTER = new ItemId(8);
  private static final ItemId OTHER = new ItemId(9);
  private static final Currency EUR = Currency.getInstance("EUR");

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private void write(Consumer<KeepingRepository> work) {
    store.write(
        session -> {
          work.accept(session.keeping());
          return true;
        });
  }

  private static UnitPrice price(String perUnit) {
    return UnitPrice.of(new BigDecimal(perUnit), EUR);
  }

  /** A code names one item; the list that is set takes the place of the one before. */
  @Test
  void barcodesLeadToTheirItem() {
    assertThat(store.<Optional<ItemId>>read(s -> s.keeping().itemWithBarcode("7302210100455")))
        .contains(FILTER);
    write(keeping -> keeping.setBarcodes(FILTER, List.of("111", "222")));
    assertThat(store.<List<String>>read(s -> s.keeping().barcodes(FILTER)))
        .containsExactly("111", "222");
    assertThat(store.<Optional<ItemId>>read(s -> s.keeping().itemWithBarcode("7302210100455")))
        .isEmpty();
  }

  @Test
  void binsHaveALeastAndAMost() {
    ItemBin first = store.<List<ItemBin>>read(s -> s.keeping().bins(FILTER)).get(0);
    assertThat(first.least()).isEqualTo(Quantity.pieces(2));
    assertThat(first.most()).isEqualTo(Quantity.pieces(8));
    ItemBin second = new ItemBin(new BinId(2), "", Quantity.pieces(1), Quantity.pieces(3));
    write(keeping -> keeping.setBins(FILTER, List.of(first, second)));
    List<ItemBin> bins = store.read(s -> s.keeping().bins(FILTER));
    assertThat(bins).extracting(ItemBin::binId).containsExactly(first.binId(), new BinId(2));
    assertThat(bins.get(1).most()).isEqualTo(Quantity.pieces(3));
  }

  /** Two offers at 18.90 and 17.25: the lower is named; an item without an offer is absent. */
  @Test
  void theLowestPriceOfEachItemIsNamed() {
    Supply known = store.<List<Supply>>read(s -> s.keeping().supplies(FILTER, EUR)).get(0);
    assertThat(known.price()).isEqualTo(price("18.90"));
    assertThat(known.orderNumber()).isEqualTo("22-1010");
    long id = store.<Long>write(s -> s.keeping().addSupplier("Nova Chandlery", 4));
    Supplier nova = new Supplier(id, "Nova Chandlery", 4);
    Supply cheaper =
        new Supply(nova, "NC-8", price("17.25"), Quantity.pieces(1), Quantity.pieces(6));
    write(keeping -> keeping.setSupplies(FILTER, List.of(known, cheaper)));
    assertThat(store.<List<Supply>>read(s -> s.keeping().supplies(FILTER, EUR)))
        .containsExactlyInAnyOrder(known, cheaper);
    List<ItemId> asked = List.of(FILTER, OTHER, new ItemId(10));
    Map<ItemId, UnitPrice> lowest = store.read(s -> s.keeping().lowestPrices(asked, EUR));
    assertThat(lowest).isEqualTo(Map.of(FILTER, price("17.25"), OTHER, price("14.10")));
    assertThat(store.<List<Supplier>>read(s -> s.keeping().suppliers())).contains(nova);
  }

  /** Put twice, the second picture is the one; dropped, there is none. */
  @Test
  void anItemHasOnePicture() {
    byte[] first = "not really a picture".getBytes(StandardCharsets.UTF_8);
    byte[] bytes = "nor is this".getBytes(StandardCharsets.UTF_8);
    write(
        keeping -> keeping.setPicture(FILTER, new KeepingRepository.Picture("image/jpeg", first)));
    write(
        keeping -> keeping.setPicture(FILTER, new KeepingRepository.Picture("image/jpeg", bytes)));
    KeepingRepository.Picture kept =
        store
            .<Optional<KeepingRepository.Picture>>read(s -> s.keeping().picture(FILTER))
            .orElseThrow();
    assertThat(kept.mediaType()).isEqualTo("image/jpeg");
    assertThat(kept.content()).isEqualTo(bytes);
    write(keeping -> keeping.dropPicture(FILTER));
    assertThat(store.<Boolean>read(s -> s.keeping().hasPicture(FILTER))).isFalse();
  }
}

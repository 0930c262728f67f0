package dev.lonja.store.item;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemBin;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.store.ExampleStore;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** How items are kept, on a real file with the example store; item 8 is an oil filter. */
class KeepingRepositoryTest {

  private static final ItemId FILTER = new ItemId(8);

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private void write(Consumer<KeepingRepository> work) {
    store.write(
        session -> {
          work.accept(session.keeping());
          return true;
        });
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

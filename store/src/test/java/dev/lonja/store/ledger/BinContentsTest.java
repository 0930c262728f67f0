package dev.lonja.store.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.store.ExampleStore;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What lies in the bins of the example store. */
class BinContentsTest {

  private static final BinId K5 = new BinId(5);
  private static final ItemId LAST = new ItemId(28);

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private List<ItemId> items(BinId bin) {
    return store.read(
        s -> s.binContents().of(bin).stream().map(lot -> lot.lot().place().itemId()).toList());
  }

  /** K-05 holds washers and seals, items 23 to 28; the only tank plug seal is issued. */
  @Test
  void aBinHoldsWhatIsLeftOfItsLots() {
    assertThat(items(K5))
        .containsExactlyInAnyOrder(
            new ItemId(23), new ItemId(24), new ItemId(25), new ItemId(26), new ItemId(27), LAST);
    store.book(
        LAST,
        "boat",
        Instant.parse("2027-03-15T09:00:00Z"),
        stock ->
            Ledger.issue(
                stock, Quantity.pieces(1), Quantity.pieces(0), LocalDate.parse("2027-03-15")));
    assertThat(items(K5)).hasSize(5).doesNotContain(LAST);
    Map<BinId, List<ItemId>> all =
        store.read(
            s -> {
              Map<BinId, List<ItemId>> found = new java.util.HashMap<>();
              s.binContents()
                  .all()
                  .forEach(
                      (bin, lots) ->
                          found.put(
                              bin, lots.stream().map(l -> l.lot().place().itemId()).toList()));
              return found;
            });
    assertThat(all.get(K5)).containsExactlyInAnyOrderElementsOf(items(K5));
  }
}

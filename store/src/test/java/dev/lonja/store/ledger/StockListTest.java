package dev.lonja.store.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.store.ExampleStore;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What there was before a moment, and what it was worth. */
class StockListTest {

  private static final ItemId WASHER = new ItemId(23);
  private static final Instant ISSUED = Instant.parse("2027-03-15T09:00:00Z");

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private List<StockList.Row> washers(Instant moment) {
    return store.read(
        s ->
            s.stockList().before(moment).stream()
                .filter(row -> row.key().equals(StockKey.ofNew(WASHER)))
                .toList());
  }

  private static StockList.Row row(long pieces, long minor) {
    return new StockList.Row(
        StockKey.ofNew(WASHER),
        Quantity.pieces(pieces),
        new Money(minor, Currency.getInstance("EUR")));
  }

  /** 18 came for 3.78 on the first of December; eight went for 1.68. */
  @Test
  void theBookOfAnEarlierMomentIsItsOwn() {
    store.book(
        WASHER,
        "boat",
        ISSUED,
        stock ->
            Ledger.issue(
                stock, Quantity.pieces(8), Quantity.pieces(0), LocalDate.parse("2027-03-15")));
    assertThat(washers(Instant.parse("2026-12-01T00:00:00Z"))).isEmpty();
    assertThat(washers(ISSUED)).containsExactly(row(18, 378));
    assertThat(washers(ISSUED.plusSeconds(1))).containsExactly(row(10, 210));
  }

  /** Nothing is open and nothing is set aside yet. */
  @Test
  void ofSealedAndGoodLotsNothingIsSaid() {
    assertThat(store.<Map<LotId, StockList.Taken>>read(s -> s.stockList().lastTaken())).isEmpty();
    assertThat(store.<Map<LotId, StockList.SetAside>>read(s -> s.stockList().setAside())).isEmpty();
  }
}

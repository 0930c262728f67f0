package dev.lonja.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemBin;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.place.Rack;
import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BinStandTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final BinId BIN = new BinId(5);
  private static final ItemId FILTER = new ItemId(8);
  private static final ItemId RING = new ItemId(9);

  private static StockedLot lot(ItemId item, long id, int pieces, String expires, boolean aside) {
    return new StockedLot(
        new LotInBin(item, new LotId(id), BIN),
        LotCondition.NEW,
        TODAY.minusDays(30),
        Optional.ofNullable(expires).map(LocalDate::parse),
        aside,
        Optional.empty(),
        Quantity.pieces(pieces));
  }

  private static Map<ItemId, ItemBin> holds(ItemId item, int least, int most) {
    return Map.of(item, new ItemBin(BIN, "B-05", Quantity.pieces(least), Quantity.pieces(most)));
  }

  /** 3 of 8: 37.5 per cent, and one below the least of 4. */
  @Test
  void aBinIsHeldAgainstWhatItIsToHold() {
    BinStand stand =
        new BinStand(
            List.of(lot(FILTER, 1, 2, null, false), lot(FILTER, 2, 1, null, false)),
            holds(FILTER, 4, 8));
    assertThat(stand.percent()).contains(37);
    assertThat(stand.marks(TODAY)).containsExactly(BinStand.Mark.BELOW_LEAST);
    BinStand full = new BinStand(List.of(lot(FILTER, 1, 9, null, false)), holds(FILTER, 4, 8));
    assertThat(full.percent()).contains(100);
    assertThat(full.marks(TODAY)).containsExactly(BinStand.Mark.FULL);
  }

  /** Good through today is not expired; the ninetieth day before the last is not yet soon. */
  @Test
  void datesAreSeen() {
    assertThat(marks(lot(RING, 1, 1, "2027-03-14", false))).containsExactly(BinStand.Mark.EXPIRED);
    assertThat(marks(lot(RING, 1, 1, "2027-03-15", true)))
        .containsExactly(BinStand.Mark.EXPIRING, BinStand.Mark.SET_ASIDE);
    // 15 March and 90 days is 13 June
    assertThat(marks(lot(RING, 1, 1, "2027-06-12", false))).containsExactly(BinStand.Mark.EXPIRING);
    assertThat(marks(lot(RING, 1, 1, "2027-06-13", false))).isEmpty();
  }

  private static Set<BinStand.Mark> marks(StockedLot lot) {
    return new BinStand(List.of(lot), Map.of()).marks(TODAY);
  }

  @Test
  void severalThingsOrNothingIsSeen() {
    BinStand two =
        new BinStand(
            List.of(lot(FILTER, 1, 2, null, false), lot(RING, 2, 1, null, false)), Map.of());
    assertThat(two.marks(TODAY)).containsExactly(BinStand.Mark.MIXED);
    assertThat(two.percent()).isEmpty();
    assertThat(two.there())
        .containsExactly(
            Map.entry(FILTER, Quantity.pieces(2)), Map.entry(RING, Quantity.pieces(1)));
    assertThat(new BinStand(List.of(), holds(FILTER, 1, 8)).marks(TODAY))
        .containsExactly(BinStand.Mark.BELOW_LEAST, BinStand.Mark.EMPTY);
  }

  @ParameterizedTest
  @CsvSource({"A-05, A", "C-2-14, C-2", "B12, B", "Q, Q", "M 3, M", "7, 7"})
  void aRackIsWhatStandsBeforeTheLastPart(String address, String rack) {
    assertThat(Rack.of(address)).isEqualTo(rack);
  }
}

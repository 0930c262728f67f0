package dev.lonja.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Three of the older lot in bin 1, four of the younger one in bin 2, two set aside in bin 3. */
class LaidPiecesTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final List<StockedLot> LOTS =
      List.of(
          lot(2, 2, "2027-02-01", 4, false),
          lot(1, 1, "2027-01-01", 3, false),
          lot(3, 3, "2026-01-01", 2, true));

  private static StockedLot lot(long id, long bin, String received, int pieces, boolean aside) {
    return new StockedLot(
        new LotInBin(new ItemId(1), new LotId(id), new BinId(bin)),
        LotCondition.NEW,
        LocalDate.parse(received),
        Optional.empty(),
        aside,
        Optional.empty(),
        Quantity.pieces(pieces));
  }

  private static Map<BinId, Quantity> laid(int pieces) {
    return LaidPieces.byBin(LOTS, Quantity.pieces(pieces), TODAY);
  }

  /** Five on trays: the three older ones and two of the younger. */
  @Test
  void theyWereTakenInPickingOrder() {
    assertThat(laid(5))
        .isEqualTo(Map.of(new BinId(1), Quantity.pieces(3), new BinId(2), Quantity.pieces(2)));
  }

  @Test
  void whatIsSetAsideIsOnNoTray() {
    assertThat(laid(9))
        .isEqualTo(Map.of(new BinId(1), Quantity.pieces(3), new BinId(2), Quantity.pieces(4)));
    assertThat(laid(0)).isEmpty();
  }
}

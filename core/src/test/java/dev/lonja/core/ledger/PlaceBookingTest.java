package dev.lonja.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/**
 * Nine pieces at 10.00: in the main store three of an older lot in bin 1 and four of a newer one in
 * bin 2, at a satellite two of the older lot in bin 7.
 */
class PlaceBookingTest {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final ItemId ITEM = new ItemId(9);
  private static final BinId SATELLITE = new BinId(7);
  private static final Quantity NONE = Quantity.pieces(0);
  private static final ItemStock ALL =
      new ItemStock(
          StockKey.ofNew(ITEM),
          Measure.PIECES,
          List.of(lot(1, 1, 3), lot(2, 2, 4), lot(1, 7, 2)),
          new Money(9_000, EUR),
          new UnitPrice(10_000_000, EUR));
  private static final ItemStock MAIN = ALL.within(Set.of(new BinId(1), new BinId(2)));

  @Test
  void whatIsIssuedComesOutOfTheBinsOfThePlace() {
    ItemStock there = ALL.within(Set.of(SATELLITE));
    assertThat(lines(Ledger.issue(there, Quantity.pieces(2), NONE, TODAY)))
        .containsExactly("issue 7: -2 -20");
    assertThat(refusal(Ledger.issue(there, Quantity.pieces(3), NONE, TODAY)).free())
        .isEqualTo(Quantity.pieces(2));
    // what lies elsewhere is worth something all the same
    assertThat(there.onHand()).isEqualTo(Quantity.pieces(9));
    assertThat(there.usable(TODAY)).isEqualTo(Quantity.pieces(2));
  }

  @Test
  void whatIsBroughtLeavesInPickingOrderAndKeepsItsLotAndWorth() {
    assertThat(lines(Ledger.bring(MAIN, Quantity.pieces(5), Quantity.pieces(2), SATELLITE, TODAY)))
        .containsExactly(
            "transfer 1: -3 -30", "transfer 7: 3 30", "transfer 2: -2 -20", "transfer 7: 2 20");
  }

  @Test
  void whatOthersHoldIsNotBrought() {
    // seven lie there, two of them on trays
    Refusal.NotEnough refusal =
        refusal(Ledger.bring(MAIN, Quantity.pieces(6), Quantity.pieces(2), SATELLITE, TODAY));
    assertThat(refusal.free()).isEqualTo(Quantity.pieces(5));
    assertThat(refusal.held()).isEqualTo(Quantity.pieces(2));
  }

  @Test
  void whatIsLostIsAdjustedWhereTheBookHasIt() {
    assertThat(lines(Ledger.lose(MAIN, Quantity.pieces(4), TODAY)))
        .containsExactly("adjustment 1: -3 -30", "adjustment 2: -1 -10");
  }

  private static List<String> lines(Booking booking) {
    return ((Booking.Booked) booking)
        .lines().stream()
            .map(
                line ->
                    line.kind().words()
                        + " "
                        + line.place().binId()
                        + ": "
                        + line.quantity().amount().stripTrailingZeros().toPlainString()
                        + " "
                        + line.value().amount().stripTrailingZeros().toPlainString())
            .toList();
  }

  private static Refusal.NotEnough refusal(Booking booking) {
    return (Refusal.NotEnough) ((Booking.Refused) booking).reasons().get(0);
  }

  private static StockedLot lot(long lot, long bin, long pieces) {
    return new StockedLot(
        new LotInBin(ITEM, new LotId(lot), new BinId(bin)),
        LotCondition.NEW,
        LocalDate.parse("2027-01-0" + lot),
        Optional.empty(),
        false,
        Optional.empty(),
        Quantity.pieces(pieces));
  }
}

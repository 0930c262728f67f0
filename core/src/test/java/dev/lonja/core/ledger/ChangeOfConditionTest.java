package dev.lonja.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

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
import org.junit.jupiter.api.Test;

/**
 * Blades that come off dull, are sharpened, and lie beside the new ones with a worth of their own.
 */
class ChangeOfConditionTest {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final ItemId BLADE = new ItemId(9);
  private static final LocalDate DAY = LocalDate.parse("2027-03-15");
  private static final LotInBin NEW = place(1);
  private static final LotInBin DULL = place(2);
  private static final LotInBin SHARP = place(3);

  private static LotInBin place(long lot) {
    return new LotInBin(BLADE, new LotId(lot), new BinId(4));
  }

  private static ItemStock stock(LotCondition condition, LotInBin place, int pieces, long cents) {
    Quantity quantity = Quantity.pieces(pieces);
    Money value = new Money(cents, EUR);
    List<StockedLot> lots =
        pieces == 0
            ? List.of()
            : List.of(
                new StockedLot(
                    place, condition, DAY, Optional.empty(), false, Optional.empty(), quantity));
    UnitPrice average = pieces == 0 ? new UnitPrice(0, EUR) : UnitPrice.average(value, quantity);
    return new ItemStock(new StockKey(BLADE, condition), Measure.PIECES, lots, value, average);
  }

  private static List<MovementLine> lines(Booking booking) {
    return ((Booking.Booked) booking).lines();
  }

  /** One dull blade at 0.00 joins one at 3.00: two that are worth 1.50 each. */
  @Test
  void whatComesOffAMachineIsWorthNothingUnlessSomebodySaysSo() {
    ItemStock dull = stock(LotCondition.TO_RECONDITION, DULL, 1, 300);
    MovementLine line =
        lines(Ledger.salvage(dull, DULL, Quantity.pieces(1), Money.zero(EUR))).get(0);
    assertThat(line.kind()).isEqualTo(MovementKind.SALVAGE);
    assertThat(line.value()).isEqualTo(Money.zero(EUR));
    assertThat(line.average()).isEqualTo(new UnitPrice(1_500_000, EUR));
    ItemStock fresh = stock(LotCondition.NEW, NEW, 1, 300);
    assertThatThrownBy(() -> Ledger.salvage(fresh, NEW, Quantity.pieces(1), Money.zero(EUR)))
        .hasMessageContaining("allowed are USED_GOOD and TO_RECONDITION");
  }

  /**
   * Two of three dull blades worth 9.00 in all are sharpened for 8.00: 6.00 leaves the dull ones,
   * and 14.00 joins one sharp blade of 4.00. The dull one left is worth 3.00, a sharp one 18.00 /
   * 3.
   */
  @Test
  void reconditioningAddsItsCost() {
    ChangeOfCondition sharpened =
        new ChangeOfCondition(MovementKind.RECONDITIONED, DULL, SHARP.lotId(), new Money(800, EUR));
    ItemStock dull = stock(LotCondition.TO_RECONDITION, DULL, 3, 900);
    Booking.Booked left = (Booking.Booked) sharpened.leaving(dull, Quantity.pieces(2));
    MovementLine out = left.lines().get(0);
    assertThat(out.place()).isEqualTo(DULL);
    assertThat(out.quantity()).isEqualTo(Quantity.pieces(-2));
    assertThat(out.value()).isEqualTo(new Money(-600, EUR));
    assertThat(out.average()).isEqualTo(new UnitPrice(3_000_000, EUR));

    ItemStock sharp = stock(LotCondition.USED_GOOD, SHARP, 1, 400);
    MovementLine in = lines(sharpened.joining(sharp, Quantity.pieces(2), left)).get(0);
    assertThat(in.place()).isEqualTo(SHARP);
    assertThat(in.quantity()).isEqualTo(Quantity.pieces(2));
    assertThat(in.value()).isEqualTo(new Money(1_400, EUR));
    assertThat(in.average()).isEqualTo(new UnitPrice(6_000_000, EUR));
  }

  @Test
  void noMoreThanLiesThere() {
    ChangeOfCondition dropped =
        new ChangeOfCondition(MovementKind.REGRADED, NEW, DULL.lotId(), Money.zero(EUR));
    Booking refused = dropped.leaving(stock(LotCondition.NEW, NEW, 1, 300), Quantity.pieces(2));
    assertThat(((Booking.Refused) refused).reasons())
        .containsExactly(new Refusal.NotThere(Quantity.pieces(2), Quantity.pieces(1)));
    assertThatThrownBy(
            () ->
                new ChangeOfCondition(
                    MovementKind.RECONDITIONED, DULL, SHARP.lotId(), new Money(-1, EUR)))
        .hasMessageContaining("cost is -1");
  }

  /** What waits for work does not leave for a machine, though it lies there. */
  @Test
  void whatIsToBeReconditionedIsNotIssued() {
    ItemStock dull = stock(LotCondition.TO_RECONDITION, DULL, 3, 900);
    assertThat(dull.usable(DAY)).isEqualTo(Quantity.pieces(0));
    assertThat(Ledger.issue(dull, Quantity.pieces(1), Quantity.pieces(0), DAY))
        .isInstanceOf(Booking.Refused.class);
    assertThat(lines(Ledger.scrap(dull, DULL, Quantity.pieces(1)))).hasSize(1);
    ItemStock sharp = stock(LotCondition.USED_GOOD, SHARP, 1, 400);
    assertThat(lines(Ledger.issue(sharp, Quantity.pieces(1), Quantity.pieces(0), DAY))).hasSize(1);
  }

  /** Stock of one condition holds no lot of another. */
  @Test
  void aStockIsOfOneCondition() {
    List<StockedLot> dull = stock(LotCondition.TO_RECONDITION, DULL, 1, 0).lots();
    assertThatThrownBy(
            () ->
                new ItemStock(
                    StockKey.ofNew(BLADE),
                    Measure.PIECES,
                    dull,
                    Money.zero(EUR),
                    new UnitPrice(0, EUR)))
        .hasMessageContaining("lot 2 is TO_RECONDITION; allowed in this stock is NEW");
  }
}

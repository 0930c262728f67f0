package dev.lonja.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

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

/** Ten came for 50.00, in lot 1. */
class RevaluationTest {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final ItemId ITEM = new ItemId(9);
  private static final LotId LOT = new LotId(1);
  private static final LotId OTHER = new LotId(2);

  private static LotInBin in(LotId lot) {
    return new LotInBin(ITEM, lot, new BinId(1));
  }

  private static Money money(long minor) {
    return new Money(minor, EUR);
  }

  private static PastMovement movement(
      long id, MovementKind kind, int quantity, long value, int answered, long answeredValue) {
    return new PastMovement(
        id,
        kind,
        in(LOT),
        LotCondition.NEW,
        Quantity.pieces(quantity),
        money(value),
        Quantity.pieces(answered),
        money(answeredValue));
  }

  private static PastMovement receipt() {
    return movement(1, MovementKind.RECEIPT, 10, 5000, 0, 0);
  }

  private static StockedLot lot(LotId id, int quantity) {
    return new StockedLot(
        in(id),
        LotCondition.NEW,
        LocalDate.parse("2027-01-04"),
        Optional.empty(),
        false,
        Optional.empty(),
        Quantity.pieces(quantity));
  }

  private static ItemStock stock(long value, StockedLot... lots) {
    Quantity onHand =
        List.of(lots).stream().map(StockedLot::quantity).reduce(Quantity.pieces(0), Quantity::plus);
    UnitPrice average =
        onHand.isZero() ? new UnitPrice(0, EUR) : UnitPrice.average(money(value), onHand);
    return new ItemStock(
        StockKey.ofNew(ITEM), Measure.PIECES, List.of(lots), money(value), average);
  }

  private static List<MovementLine> booked(Booking booking) {
    assertThat(booking).isInstanceOf(Booking.Booked.class);
    return ((Booking.Booked) booking).lines();
  }

  /**
   * Four were issued, then three of which one came back: six are gone, four on hand. Of 10.00 more,
   * a piece bears 1.00: 4.00 and 2.00 go on to the issues, 4.00 stay. The average of 5.00 becomes
   * 24.00 over 4.
   */
  @Test
  void theShareOfWhatWasIssuedFollowsIt() {
    List<PastMovement> gone =
        List.of(
            movement(3, MovementKind.ISSUE, -3, -1500, 1, 500),
            movement(2, MovementKind.ISSUE, -4, -2000, 0, 0));
    assertThat(
            booked(
                Revaluation.book(
                    stock(2000, lot(LOT, 4)), receipt(), Set.of(LOT), gone, money(1000))))
        .extracting(line -> line.refersTo().orElseThrow(), MovementLine::value)
        .containsExactly(tuple(1L, money(1000)), tuple(2L, money(-400)), tuple(3L, money(-200)));
    assertThat(
            booked(
                Revaluation.book(
                    stock(2000, lot(LOT, 4)), receipt(), Set.of(LOT), gone, money(1000))))
        .allSatisfy(
            line -> {
              assertThat(line.kind()).isEqualTo(MovementKind.REVALUED);
              assertThat(line.quantity()).isEqualTo(Quantity.pieces(0));
              // 6.00 each, in ten-thousandths of a cent
              assertThat(line.average()).isEqualTo(new UnitPrice(6_000_000, EUR));
            });
  }

  /** All ten are gone: nothing stays, and the average is what it was. */
  @Test
  void whatIsGoneBearsAllOfIt() {
    List<MovementLine> lines =
        booked(
            Revaluation.book(
                stock(0),
                receipt(),
                Set.of(LOT),
                List.of(
                    movement(2, MovementKind.ISSUE, -7, -3500, 0, 0),
                    movement(3, MovementKind.SCRAP, -3, -1500, 0, 0)),
                money(-99)));
    // 0.99 by 7 to 3: 0.693, rounded 0.69, and the rest 0.30
    assertThat(lines)
        .extracting(MovementLine::value)
        .containsExactly(money(-99), money(69), money(30));
    assertThat(lines.stream().map(MovementLine::value).reduce(Money::plus)).contains(money(0));
    assertThat(lines.get(0).average()).isEqualTo(new UnitPrice(0, EUR));
  }

  /** Another lot is on hand: it shares the average, but not the difference. */
  @Test
  void onlyItsOwnLotsBearIt() {
    List<MovementLine> lines =
        booked(
            Revaluation.book(
                stock(6000, lot(LOT, 5), lot(OTHER, 5)),
                receipt(),
                Set.of(LOT),
                List.of(movement(2, MovementKind.ISSUE, -5, -2500, 0, 0)),
                money(1000)));
    assertThat(lines).extracting(MovementLine::value).containsExactly(money(1000), money(-500));
    // 65.00 over ten
    assertThat(lines.get(0).average()).isEqualTo(new UnitPrice(6_500_000, EUR));
  }

  @Test
  void noDifferenceBooksNothing() {
    assertThat(
            booked(
                Revaluation.book(
                    stock(5000, lot(LOT, 10)), receipt(), Set.of(LOT), List.of(), money(0))))
        .isEmpty();
  }

  /** A cheap lot joined, and 20.00 is what is on hand together: 30.00 cannot go off that. */
  @Test
  void nothingIsWorthLessThanNothing() {
    assertThat(
            Revaluation.book(
                stock(2000, lot(LOT, 10), lot(OTHER, 30)),
                receipt(),
                Set.of(LOT),
                List.of(),
                money(-3000)))
        .isEqualTo(Booking.refused(new Refusal.WorthBelowNothing(money(2000), money(-3000))));
  }

  /** A million euro a piece is the most; one cent more over ten is refused. */
  @Test
  void aPieceHasAPriceThatCanBeWrittenOut() {
    Money most = money(1_000_000_000 - 5000);
    ItemStock stock = stock(5000, lot(LOT, 10));
    assertThat(Revaluation.book(stock, receipt(), Set.of(LOT), List.of(), most))
        .isInstanceOf(Booking.Booked.class);
    assertThat(Revaluation.book(stock, receipt(), Set.of(LOT), List.of(), most.plus(money(1))))
        .isEqualTo(
            Booking.refused(
                new Refusal.TooDear(
                    money(1_000_000_001), Quantity.pieces(10), money(100_000_000))));
  }

  /** Undone with what an invoice added: 60.00 goes out again. An invoice's line is not undone. */
  @Test
  void aReceiptIsUndoneAtWhatItCameTo() {
    PastMovement revalued = movement(1, MovementKind.RECEIPT, 10, 5000, 0, 1000);
    assertThat(booked(Ledger.correct(stock(6000, lot(LOT, 10)), List.of(revalued))))
        .extracting(MovementLine::value)
        .containsExactly(money(-6000));
    PastMovement line = movement(2, MovementKind.REVALUED, 0, 1000, 0, 0);
    assertThat(Ledger.correct(stock(6000, lot(LOT, 10)), List.of(line)))
        .isEqualTo(Booking.refused(new Refusal.OfInvoice(2)));
  }
}

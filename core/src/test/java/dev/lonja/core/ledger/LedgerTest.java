package dev.lonja.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class LedgerTest {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final Quantity NONE = Quantity.pieces(0);
  private static final LotInBin SHELF = new LotInBin(new ItemId(9), new LotId(1), new BinId(1));

  /**
   * Three lots: 1 expires in May, 2 on today's date and is good through it, 3 never; 4 expired
   * yesterday, 5 is quarantined. First 2, then 1, then 3.
   */
  @Test
  void issuesFirstExpiredFirstOutFromGoodLots() {
    ItemStock stock =
        stock(
            3_000,
            lot(new LotId(1), "2027-01-01", "2027-05-01", 2),
            lot(new LotId(2), "2027-02-01", "2027-03-15", 1),
            lot(new LotId(3), "2026-01-01", null, 4),
            lot(new LotId(4), "2026-01-01", "2027-03-14", 5),
            quarantined(new LotId(5), 3));
    List<MovementLine> lines = booked(Ledger.issue(stock, Quantity.pieces(5), NONE, TODAY));
    assertThat(lines.stream().map(line -> line.place().lotId()))
        .containsExactly(new LotId(2), new LotId(1), new LotId(3));
    assertThat(lines.stream().map(MovementLine::quantity))
        .containsExactly(Quantity.pieces(-1), Quantity.pieces(-2), Quantity.pieces(-2));
  }

  @Test
  void lotsWithoutExpiryGoOutOldestFirst() {
    ItemStock stock =
        stock(
            300,
            lot(new LotId(1), "2027-02-01", null, 1),
            lot(new LotId(2), "2027-01-01", null, 1));
    assertThat(booked(Ledger.issue(stock, Quantity.pieces(1), NONE, TODAY)).get(0).place().lotId())
        .isEqualTo(new LotId(2));
  }

  /** A million pieces at once and no more, a million euro a piece and no more. */
  @Test
  void aBookingHasASizeThatCanBeWrittenOut() {
    ItemStock some = stock(100, lot(new LotId(1), "2027-01-01", null, 1));
    Quantity million = Quantity.pieces(1_000_000);
    Quantity more = Quantity.pieces(1_000_001);
    Money dear = new Money(200_000_000, EUR);
    assertThat(Ledger.receive(some, SHELF, million, dear)).isInstanceOf(Booking.Booked.class);
    assertThat(refusal(Ledger.receive(some, SHELF, more, dear)))
        .isEqualTo(new Refusal.TooMuch(more, million));
    assertThat(refusal(Ledger.count(some, SHELF, more)))
        .isEqualTo(new Refusal.TooMuch(more, million));
    assertThat(Ledger.receive(some, SHELF, Quantity.pieces(2), dear))
        .isInstanceOf(Booking.Booked.class);
    assertThat(refusal(Ledger.receive(some, SHELF, Quantity.pieces(1), dear)))
        .isEqualTo(new Refusal.TooDear(dear, Quantity.pieces(1), new Money(100_000_000, EUR)));
  }

  /**
   * 7 usable, 2 on trays: 5 free. Six are refused whole, naming what is free and where the rest is.
   */
  @Test
  void anIssueIsWholeOrRefused() {
    ItemStock stock =
        stock(
            900,
            lot(new LotId(1), "2027-01-01", null, 7),
            lot(new LotId(2), "2027-01-01", "2027-03-14", 1),
            quarantined(new LotId(3), 1));
    assertThat(Ledger.issue(stock, Quantity.pieces(5), Quantity.pieces(2), TODAY))
        .isInstanceOf(Booking.Booked.class);
    assertThat(refusal(Ledger.issue(stock, Quantity.pieces(6), Quantity.pieces(2), TODAY)))
        .isEqualTo(
            new Refusal.NotEnough(
                Quantity.pieces(6),
                Quantity.pieces(5),
                Quantity.pieces(2),
                Quantity.pieces(1),
                Quantity.pieces(1)));
  }

  @Test
  void zeroNegativeAndPartsOfAPieceAreRefused() {
    ItemStock stock = stock(900, lot(new LotId(1), "2027-01-01", null, 7));
    assertThat(refusal(Ledger.issue(stock, Quantity.pieces(0), NONE, TODAY)))
        .isEqualTo(new Refusal.NotPositive(Quantity.pieces(0)));
    assertThat(refusal(Ledger.issue(stock, Quantity.pieces(-1), NONE, TODAY)))
        .isEqualTo(new Refusal.NotPositive(Quantity.pieces(-1)));
    Quantity half = Quantity.of(Measure.PIECES, new BigDecimal("0.5"));
    assertThat(refusal(Ledger.issue(stock, half, NONE, TODAY)))
        .isEqualTo(new Refusal.NotCountable(half));
  }

  /**
   * 3 pieces for 10.00: average 333.3333 cents. Receiving 2 for 8.00 makes 18.00 over 5: 360 cents.
   */
  @Test
  void aReceiptSetsTheAverageAnew() {
    ItemStock stock = stock(1_000, lot(new LotId(1), "2027-01-01", null, 3));
    MovementLine line =
        booked(Ledger.receive(stock, SHELF, Quantity.pieces(2), new Money(800, EUR))).get(0);
    assertThat(line.value()).isEqualTo(new Money(800, EUR));
    assertThat(line.average()).isEqualTo(new UnitPrice(3_600_000, EUR));
  }

  /** 10.00 over 3: one piece is worth 3.33, the second 3.33, the last takes the rest, 3.34. */
  @Test
  void theLastPieceTakesTheRest() {
    ItemStock three = stock(1_000, lot(new LotId(1), "2027-01-01", null, 3));
    assertThat(value(Ledger.issue(three, Quantity.pieces(2), NONE, TODAY))).isEqualTo(-667);
    assertThat(value(Ledger.issue(three, Quantity.pieces(3), NONE, TODAY))).isEqualTo(-1_000);
    UnitPrice average = new UnitPrice(3_333_333, EUR);
    ItemStock one =
        new ItemStock(
            StockKey.ofNew(new ItemId(9)),
            Measure.PIECES,
            List.of(lot(new LotId(1), "2027-01-01", null, 1)),
            new Money(334, EUR),
            average);
    MovementLine line = booked(Ledger.issue(one, Quantity.pieces(1), NONE, TODAY)).get(0);
    assertThat(line.value()).isEqualTo(new Money(-334, EUR));
    assertThat(line.average()).isEqualTo(average);
  }

  /**
   * Two lines of an issue: lot 1 gave 2 pieces for 6.67, then lot 2 gave 1 for 3.33. Two come back:
   * first the one of lot 2 for 3.33, then one of lot 1 for 667 / 2 = 3.34 (half up).
   */
  @Test
  void returnsGoToTheLotPickedLastAtTheCostTheyLeftWith() {
    List<PastMovement> issue =
        List.of(issued(11, new LotId(1), 2, 667), issued(12, new LotId(2), 1, 333));
    ItemStock empty = emptyStock();
    List<MovementLine> lines = booked(Ledger.takeBack(empty, issue, Quantity.pieces(2)));
    assertThat(lines.get(0).place().lotId()).isEqualTo(new LotId(2));
    assertThat(lines.get(0).value()).isEqualTo(new Money(333, EUR));
    assertThat(lines.get(0).refersTo()).contains(12L);
    assertThat(lines.get(1).place().lotId()).isEqualTo(new LotId(1));
    assertThat(lines.get(1).value()).isEqualTo(new Money(334, EUR));
    // 333 + 334 cents over two pieces
    assertThat(lines.get(1).average()).isEqualTo(new UnitPrice(3_335_000, EUR));
  }

  /** Of 2 pieces for 6.67 one came back for 3.34; the second takes the rest, 3.33. */
  @Test
  void thePieceThatCompletesAReturnTakesTheRest() {
    PastMovement half =
        new PastMovement(
            11,
            MovementKind.ISSUE,
            SHELF,
            LotCondition.NEW,
            Quantity.pieces(-2),
            new Money(-667, EUR),
            Quantity.pieces(1),
            new Money(334, EUR));
    assertThat(value(Ledger.takeBack(emptyStock(), List.of(half), Quantity.pieces(1))))
        .isEqualTo(333);
    assertThat(refusal(Ledger.takeBack(emptyStock(), List.of(half), Quantity.pieces(2))))
        .isEqualTo(new Refusal.MoreThanIssued(Quantity.pieces(2), Quantity.pieces(1)));
  }

  @Test
  void aTransferMovesValueAndKeepsTheAverage() {
    ItemStock stock = stock(1_000, lot(new LotId(1), "2027-01-01", null, 3));
    List<MovementLine> lines =
        booked(Ledger.transfer(stock, SHELF, new BinId(2), Quantity.pieces(2)));
    assertThat(lines.get(0).value()).isEqualTo(new Money(-667, EUR));
    assertThat(lines.get(1).value()).isEqualTo(new Money(667, EUR));
    assertThat(lines.get(1).place())
        .isEqualTo(new LotInBin(new ItemId(9), new LotId(1), new BinId(2)));
    assertThat(lines.get(1).average()).isEqualTo(stock.average());
    assertThat(refusal(Ledger.transfer(stock, SHELF, new BinId(1), Quantity.pieces(1))))
        .isEqualTo(new Refusal.SameBin());
    assertThat(refusal(Ledger.transfer(stock, SHELF, new BinId(2), Quantity.pieces(4))))
        .isEqualTo(new Refusal.NotThere(Quantity.pieces(4), Quantity.pieces(3)));
  }

  /** 3 on the shelf, counted 1: two go at 333.3333 each, 6.67. Counted 3: nothing to book. */
  @Test
  void aCountBooksTheDifference() {
    ItemStock stock = stock(1_000, lot(new LotId(1), "2027-01-01", null, 3));
    MovementLine less = booked(Ledger.count(stock, SHELF, Quantity.pieces(1))).get(0);
    assertThat(less.quantity()).isEqualTo(Quantity.pieces(-2));
    assertThat(less.value()).isEqualTo(new Money(-667, EUR));
    assertThat(booked(Ledger.count(stock, SHELF, Quantity.pieces(3)))).isEmpty();
    MovementLine more = booked(Ledger.count(stock, SHELF, Quantity.pieces(5))).get(0);
    assertThat(more.value()).isEqualTo(new Money(667, EUR));
    assertThat(refusal(Ledger.count(stock, SHELF, Quantity.pieces(-1))))
        .isEqualTo(new Refusal.NotPositive(Quantity.pieces(-1)));
  }

  @Test
  void scrapAndAdjustmentStayAboveZero() {
    ItemStock stock = stock(1_000, lot(new LotId(1), "2027-01-01", null, 3));
    assertThat(value(Ledger.scrap(stock, SHELF, Quantity.pieces(3)))).isEqualTo(-1_000);
    assertThat(refusal(Ledger.scrap(stock, SHELF, Quantity.pieces(4))))
        .isInstanceOf(Refusal.NotThere.class);
    assertThat(value(Ledger.adjust(stock, SHELF, Quantity.pieces(-2)))).isEqualTo(-667);
    assertThat(value(Ledger.adjust(stock, SHELF, Quantity.pieces(1)))).isEqualTo(333);
    assertThat(refusal(Ledger.adjust(stock, SHELF, Quantity.pieces(-4))))
        .isInstanceOf(Refusal.NotThere.class);
  }

  @Test
  void aCorrectionUndoesAMovementAtItsOwnValue() {
    ItemStock stock = stock(1_000, lot(new LotId(1), "2027-01-01", null, 3));
    MovementLine line =
        booked(Ledger.correct(stock, List.of(issued(11, new LotId(1), 2, 700)))).get(0);
    assertThat(line.kind()).isEqualTo(MovementKind.CORRECTION);
    assertThat(line.quantity()).isEqualTo(Quantity.pieces(2));
    assertThat(line.value()).isEqualTo(new Money(700, EUR));
    assertThat(line.refersTo()).contains(11L);
    // 17.00 over 5 pieces
    assertThat(line.average()).isEqualTo(new UnitPrice(3_400_000, EUR));
  }

  /** Both halves of a transfer are undone; with only one of two pieces left there, neither is. */
  @Test
  void aTransferIsUndoneWhole() {
    PastMovement out = half(21, new BinId(1), -2, -667);
    PastMovement in = half(22, new BinId(2), 2, 667);
    ItemStock moved =
        new ItemStock(
            StockKey.ofNew(new ItemId(9)),
            Measure.PIECES,
            List.of(lot(new LotId(1), "2027-01-01", null, 1), lotIn(new BinId(2), 2)),
            new Money(1_000, EUR),
            new UnitPrice(3_333_333, EUR));
    List<MovementLine> lines = booked(Ledger.correct(moved, List.of(out, in)));
    assertThat(lines.stream().map(MovementLine::quantity))
        .containsExactly(Quantity.pieces(2), Quantity.pieces(-2));
    ItemStock used =
        new ItemStock(
            StockKey.ofNew(new ItemId(9)),
            Measure.PIECES,
            List.of(lotIn(new BinId(2), 1)),
            new Money(333, EUR),
            moved.average());
    assertThat(refusal(Ledger.correct(used, List.of(out, in))))
        .isEqualTo(new Refusal.NotThere(Quantity.pieces(2), Quantity.pieces(1)));
  }

  @Test
  void whatWasAnsweredOrIsACorrectionStays() {
    ItemStock stock = stock(1_000, lot(new LotId(1), "2027-01-01", null, 3));
    PastMovement returned =
        new PastMovement(
            11,
            MovementKind.ISSUE,
            SHELF,
            LotCondition.NEW,
            Quantity.pieces(-2),
            new Money(-667, EUR),
            Quantity.pieces(1),
            new Money(334, EUR));
    assertThat(refusal(Ledger.correct(stock, List.of(returned))))
        .isEqualTo(new Refusal.AlreadyAnswered(11));
    PastMovement correction =
        new PastMovement(
            12,
            MovementKind.CORRECTION,
            SHELF,
            LotCondition.NEW,
            Quantity.pieces(2),
            new Money(1, EUR),
            NONE,
            Money.zero(EUR));
    assertThat(refusal(Ledger.correct(stock, List.of(correction))))
        .isEqualTo(new Refusal.CorrectionOfCorrection(12));
  }

  /** The receipt's 3 pieces cannot be undone once one has gone. */
  @Test
  void aReceiptPartlyUsedIsNotUndone() {
    ItemStock stock = stock(667, lot(new LotId(1), "2027-01-01", null, 2));
    PastMovement receipt =
        new PastMovement(
            1,
            MovementKind.RECEIPT,
            SHELF,
            LotCondition.NEW,
            Quantity.pieces(3),
            new Money(1_000, EUR),
            NONE,
            Money.zero(EUR));
    assertThat(refusal(Ledger.correct(stock, List.of(receipt))))
        .isEqualTo(new Refusal.NotThere(Quantity.pieces(3), Quantity.pieces(2)));
  }

  /** Item 9's stock cannot be booked in a lot of item 8: that is broken code, not a refusal. */
  @Test
  void anotherItemsLotIsNoPlace() {
    ItemStock stock = stock(1_000, lot(new LotId(1), "2027-01-01", null, 3));
    LotInBin others = new LotInBin(new ItemId(8), new LotId(1), new BinId(1));
    assertThatThrownBy(() -> Ledger.count(stock, others, Quantity.pieces(2)))
        .hasMessage("place is a lot of item 8; allowed is one of item 9");
    assertThatThrownBy(() -> Ledger.receive(stock, others, Quantity.pieces(2), new Money(100, EUR)))
        .hasMessageContaining("allowed is one of item 9");
  }

  private static ItemStock stock(long cents, StockedLot... lots) {
    Quantity onHand = List.of(lots).stream().map(StockedLot::quantity).reduce(NONE, Quantity::plus);
    Money value = new Money(cents, EUR);
    return new ItemStock(
        StockKey.ofNew(new ItemId(9)),
        Measure.PIECES,
        List.of(lots),
        value,
        UnitPrice.average(value, onHand));
  }

  private static ItemStock emptyStock() {
    return new ItemStock(
        StockKey.ofNew(new ItemId(9)),
        Measure.PIECES,
        List.of(),
        Money.zero(EUR),
        new UnitPrice(3_333_333, EUR));
  }

  private static StockedLot lot(LotId id, String received, String expires, int pieces) {
    return new StockedLot(
        new LotInBin(new ItemId(9), id, new BinId(1)),
        LotCondition.NEW,
        LocalDate.parse(received),
        Optional.ofNullable(expires).map(LocalDate::parse),
        false,
        Optional.empty(),
        Quantity.pieces(pieces));
  }

  /** Of lot 1, in another bin. */
  private static StockedLot lotIn(BinId binId, int pieces) {
    return new StockedLot(
        new LotInBin(new ItemId(9), new LotId(1), binId),
        LotCondition.NEW,
        LocalDate.parse("2027-01-01"),
        Optional.empty(),
        false,
        Optional.empty(),
        Quantity.pieces(pieces));
  }

  private static StockedLot quarantined(LotId id, int pieces) {
    return new StockedLot(
        new LotInBin(new ItemId(9), id, new BinId(1)),
        LotCondition.NEW,
        LocalDate.parse("2027-01-01"),
        Optional.empty(),
        true,
        Optional.empty(),
        Quantity.pieces(pieces));
  }

  private static PastMovement issued(long id, LotId lotId, int pieces, long cents) {
    return new PastMovement(
        id,
        MovementKind.ISSUE,
        new LotInBin(new ItemId(9), lotId, new BinId(1)),
        LotCondition.NEW,
        Quantity.pieces(-pieces),
        new Money(-cents, EUR),
        NONE,
        Money.zero(EUR));
  }

  private static PastMovement half(long id, BinId binId, int pieces, long cents) {
    return new PastMovement(
        id,
        MovementKind.TRANSFER,
        new LotInBin(new ItemId(9), new LotId(1), binId),
        LotCondition.NEW,
        Quantity.pieces(pieces),
        new Money(cents, EUR),
        NONE,
        Money.zero(EUR));
  }

  private static List<MovementLine> booked(Booking booking) {
    assertThat(booking).isInstanceOf(Booking.Booked.class);
    return ((Booking.Booked) booking).lines();
  }

  private static long value(Booking booking) {
    return booked(booking).get(0).value().minor();
  }

  private static Refusal refusal(Booking booking) {
    assertThat(booking).isInstanceOf(Booking.Refused.class);
    return ((Booking.Refused) booking).reasons().get(0);
  }
}

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
import org.junit.jupiter.api.Test;

/** Kits in the ledger, in cents. */
class KitBookingTest {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final LocalDate TODAY = LocalDate.of(2027, 3, 15);
  private static final Quantity NONE = Quantity.pieces(0);

  private static ItemStock stock(ItemId item, long pieces, long value) {
    Money worth = new Money(value, EUR);
    List<StockedLot> lots =
        pieces == 0
            ? List.of()
            : List.of(
                new StockedLot(
                    new LotInBin(item, new LotId(item.value() * 10), new BinId(item.value())),
                    LotCondition.NEW,
                    TODAY.minusDays(30),
                    Optional.empty(),
                    false,
                    Optional.empty(),
                    Quantity.pieces(pieces)));
    return new ItemStock(
        StockKey.ofNew(item),
        Measure.PIECES,
        lots,
        worth,
        pieces == 0 ? new UnitPrice(0, EUR) : UnitPrice.average(worth, Quantity.pieces(pieces)));
  }

  private static KitBooking.Out out(ItemStock stock, int perKit) {
    long item = stock.itemId().value();
    return new KitBooking.Out(
        stock, new LotInBin(stock.itemId(), new LotId(item * 10 + 1), new BinId(7)), perKit);
  }

  private static KitBooking.In in(ItemStock stock, int perKit) {
    return new KitBooking.In(stock, perKit, NONE);
  }

  private static Money value(Booking booking) {
    return ((Booking.Booked) booking)
        .lines().stream().map(MovementLine::value).reduce(Money::plus).orElseThrow();
  }

  /**
   * Two kits of three are worth 2 × 50.00. Loose, their contents are worth 2 × 30.00 and 4 × 5.00,
   * so the 100.00 go 60 : 20, which is 75.00 and 25.00.
   */
  @Test
  void aBrokenKitSharesItsValueByWhatThePartsAreWorthLoose() {
    KitBooking.Result result =
        KitBooking.broken(
            stock(new ItemId(1), 3, 15_000),
            NONE,
            Quantity.pieces(2),
            List.of(
                out(stock(new ItemId(2), 10, 30_000), 1), out(stock(new ItemId(3), 10, 5_000), 2)),
            TODAY);
    assertThat(value(result.byItem().get(new ItemId(1)))).isEqualTo(new Money(-10_000, EUR));
    assertThat(value(result.byItem().get(new ItemId(2)))).isEqualTo(new Money(7_500, EUR));
    assertThat(value(result.byItem().get(new ItemId(3)))).isEqualTo(new Money(2_500, EUR));
    MovementLine filter = ((Booking.Booked) result.byItem().get(new ItemId(2))).lines().get(0);
    assertThat(filter.quantity()).isEqualTo(Quantity.pieces(2));
    assertThat(filter.kind()).isEqualTo(MovementKind.KIT_BROKEN);
    // 300.00 + 75.00 over twelve
    assertThat(filter.average()).isEqualTo(new UnitPrice(31_250_000, EUR));
  }

  /** With nothing loose to go by, 10.00 in three is 3.33, 3.33 and the rest, 3.34. */
  @Test
  void withoutPricesTheSharesAreEqualAndTheLastTakesTheRest() {
    KitBooking.Result result =
        KitBooking.broken(
            stock(new ItemId(1), 1, 1_000),
            NONE,
            Quantity.pieces(1),
            List.of(
                out(stock(new ItemId(2), 0, 0), 1),
                out(stock(new ItemId(3), 0, 0), 1),
                out(stock(new ItemId(4), 0, 0), 1)),
            TODAY);
    assertThat(List.of(2L, 3L, 4L))
        .extracting(item -> value(result.byItem().get(new ItemId(item))).minor())
        .containsExactly(333L, 333L, 334L);
  }

  /** One filter at 30.00 and two washers at 5.00 make a kit worth 40.00. */
  @Test
  void aMadeKitIsWorthWhatWentIn() {
    KitBooking.Result result =
        KitBooking.made(
            stock(new ItemId(1), 1, 6_000),
            new LotInBin(new ItemId(1), new LotId(11), new BinId(1)),
            Quantity.pieces(1),
            List.of(
                in(stock(new ItemId(2), 10, 30_000), 1), in(stock(new ItemId(3), 10, 5_000), 2)),
            TODAY);
    assertThat(value(result.byItem().get(new ItemId(1)))).isEqualTo(new Money(4_000, EUR));
    MovementLine kit = ((Booking.Booked) result.byItem().get(new ItemId(1))).lines().get(0);
    assertThat(kit.kind()).isEqualTo(MovementKind.KIT_MADE);
    // 60.00 + 40.00 over two
    assertThat(kit.average()).isEqualTo(new UnitPrice(50_000_000, EUR));
  }

  @Test
  void whatIsNotFreeIsRefusedAndNothingIsMade() {
    KitBooking.Result result =
        KitBooking.made(
            stock(new ItemId(1), 0, 0),
            new LotInBin(new ItemId(1), new LotId(11), new BinId(1)),
            Quantity.pieces(2),
            List.of(
                new KitBooking.In(stock(new ItemId(2), 3, 900), 1, Quantity.pieces(2)),
                in(stock(new ItemId(3), 3, 900), 2)),
            TODAY);
    assertThat(result.isRefused()).isTrue();
    assertThat(result.byItem().keySet()).containsExactly(new ItemId(2), new ItemId(3));
    assertThat(((Booking.Refused) result.byItem().get(new ItemId(2))).reasons().get(0))
        .isInstanceOfSatisfying(
            Refusal.NotEnough.class,
            refusal -> assertThat(refusal.free()).isEqualTo(Quantity.pieces(1)));
    assertThat(
            KitBooking.broken(
                    stock(new ItemId(1), 1, 100),
                    Quantity.pieces(1),
                    Quantity.pieces(1),
                    List.of(out(stock(new ItemId(2), 0, 0), 1)),
                    TODAY)
                .isRefused())
        .isTrue();
  }
}

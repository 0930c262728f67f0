package dev.lonja.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.groups.Tuple.tuple;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Cans of 5 L at 4.00 a litre; lot 1 expires first, lot 9 is the container to be opened. */
class PackOpeningTest {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final LocalDate TODAY = LocalDate.of(2027, 3, 15);
  private static final Quantity CAN = Quantity.litres("5");
  private static final Quantity NONE = Quantity.litres("0");

  private static StockedLot lot(LotId id, String litres, boolean open, int goodForDays) {
    return new StockedLot(
        new LotInBin(new ItemId(7), id, new BinId(1)),
        LotCondition.NEW,
        TODAY.minusDays(30),
        Optional.of(TODAY.plusDays(goodForDays)),
        false,
        open ? Optional.of(TODAY.minusDays(5)) : Optional.empty(),
        Quantity.litres(litres));
  }

  private static ItemStock stock(StockedLot... lots) {
    Quantity all = Arrays.stream(lots).map(StockedLot::quantity).reduce(NONE, Quantity::plus);
    UnitPrice price = new UnitPrice(4_000_000, EUR);
    return new ItemStock(
        StockKey.ofNew(new ItemId(7)), Measure.LITRES, List.of(lots), price.valueOf(all), price);
  }

  private static Optional<PackOpening> opening(ItemStock stock, String litres) {
    return PackOpening.of(stock, Quantity.litres(litres), CAN, TODAY);
  }

  private static List<MovementLine> issue(ItemStock stock, String litres) {
    Booking booking =
        opening(stock, litres)
            .orElseThrow()
            .issue(stock, Quantity.litres(litres), NONE, TODAY, new LotId(9));
    return ((Booking.Booked) booking).lines();
  }

  /** 6.6 L out of three cans: one leaves whole, 1.6 L of the next, 3.4 L stay open. */
  @Test
  void thePartOfAPackLeavesFromAContainer() {
    ItemStock stock = stock(lot(new LotId(1), "15", false, 900));
    PackOpening opening = opening(stock, "6.6").orElseThrow();
    assertThat(opening.poured()).isEqualTo(Quantity.litres("1.6"));
    assertThat(opening.left()).isEqualTo(Quantity.litres("3.4"));
    assertThat(issue(stock, "6.6"))
        .extracting(MovementLine::kind, line -> line.place().lotId(), MovementLine::quantity)
        .containsExactly(
            tuple(MovementKind.ISSUE, new LotId(1), Quantity.litres("-5")),
            tuple(MovementKind.OPENED, new LotId(1), Quantity.litres("-5")),
            tuple(MovementKind.OPENED, new LotId(9), Quantity.litres("5")),
            tuple(MovementKind.ISSUE, new LotId(9), Quantity.litres("-1.6")));
  }

  /** 6.6 L at 4.00 = 26.40; opening moves 20.00 and changes no value. */
  @Test
  void theValueIsThatOfWhatLeaves() {
    Money value =
        issue(stock(lot(new LotId(1), "15", false, 900)), "6.6").stream()
            .map(MovementLine::value)
            .reduce(Money.zero(EUR), Money::plus);
    assertThat(value.minor()).isEqualTo(-2_640);
  }

  @Test
  void wholePacksAndOpenContainersNeedNoOpening() {
    assertThat(opening(stock(lot(new LotId(1), "15", false, 900)), "10")).isEmpty();
    assertThat(opening(stock(lot(new LotId(1), "15", false, 900)), "15")).isEmpty();
    ItemStock withOpen =
        stock(lot(new LotId(1), "3.4", true, 360), lot(new LotId(2), "10", false, 900));
    assertThat(opening(withOpen, "3.4")).isEmpty();
    assertThat(opening(withOpen, "2")).isEmpty();
    assertThat(opening(withOpen, "8.4")).isEmpty();
  }

  /** The open 3.4 L leave first, then 0.6 L of a can that is opened for it. */
  @Test
  void whatIsOpenLeavesFirst() {
    ItemStock stock =
        stock(lot(new LotId(2), "10", false, 900), lot(new LotId(1), "3.4", true, 360));
    assertThat(opening(stock, "4").map(PackOpening::poured)).contains(Quantity.litres("0.6"));
    assertThat(issue(stock, "4"))
        .extracting(line -> line.place().lotId(), MovementLine::quantity)
        .containsExactly(
            tuple(new LotId(1), Quantity.litres("-3.4")),
            tuple(new LotId(2), Quantity.litres("-5")),
            tuple(new LotId(9), Quantity.litres("5")),
            tuple(new LotId(9), Quantity.litres("-0.6")));
  }

  /** A lot that is no whole number of cans: what is left of it is what is opened. */
  @Test
  void anOddLotIsOpenedAsFarAsItGoes() {
    ItemStock stock = stock(lot(new LotId(1), "7", false, 900));
    assertThat(opening(stock, "6").map(PackOpening::opened)).contains(Quantity.litres("2"));
    assertThat(opening(stock, "7")).isEmpty();
  }

  @Test
  void tooMuchIsRefusedAndNothingOpened() {
    ItemStock stock = stock(lot(new LotId(1), "15", false, 900));
    assertThat(opening(stock, "15.5")).isEmpty();
    PackOpening opening = opening(stock, "6.6").orElseThrow();
    Booking refused =
        opening.issue(stock, Quantity.litres("6.6"), Quantity.litres("9"), TODAY, new LotId(9));
    assertThat(refused).isInstanceOf(Booking.Refused.class);
  }

  @Test
  void anOpeningIsNotCorrected() {
    PastMovement half =
        new PastMovement(
            3,
            MovementKind.OPENED,
            new LotInBin(new ItemId(7), new LotId(9), new BinId(1)),
            LotCondition.NEW,
            Quantity.litres("5"),
            new Money(2_000, EUR),
            NONE,
            Money.zero(EUR));
    assertThat(Ledger.correct(stock(lot(new LotId(9), "5", true, 300)), List.of(half)))
        .isEqualTo(Booking.refused(new Refusal.PackOpened(3)));
  }
}

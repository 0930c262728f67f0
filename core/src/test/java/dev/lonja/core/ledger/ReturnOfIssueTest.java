package dev.lonja.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import java.math.BigDecimal;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/**
 * 11.4 L went out: two sealed cans of 5 L of lot 1 at 4.00 a litre, then 1.4 L of an open
 * container, lot 2. Nothing is left on the shelf.
 */
class ReturnOfIssueTest {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final ItemId OIL = new ItemId(9);
  private static final Quantity CAN = litres("5");
  private static final LotInBin SEALED = new LotInBin(OIL, new LotId(1), new BinId(1));
  private static final LotInBin OPEN = new LotInBin(OIL, new LotId(2), new BinId(1));
  private static final PastMovement CANS = issued(11, SEALED, "10", 4_000);
  private static final PastMovement POURED = issued(12, OPEN, "1.4", 560);
  private static final Set<LotId> OPENED = Set.of(OPEN.lotId());

  private static Quantity litres(String litres) {
    return Quantity.of(Measure.LITRES, new BigDecimal(litres));
  }

  private static PastMovement issued(long id, LotInBin place, String litres, long cents) {
    return new PastMovement(
        id,
        MovementKind.ISSUE,
        place,
        LotCondition.NEW,
        litres(litres).negated(),
        new Money(-cents, EUR),
        litres("0"),
        new Money(0, EUR));
  }

  private static ItemStock empty() {
    return new ItemStock(
        StockKey.ofNew(OIL),
        Measure.LITRES,
        List.of(),
        new Money(0, EUR),
        new UnitPrice(4_000_000, EUR));
  }

  private static List<MovementLine> booked(ReturnOfIssue back, Map<LotInBin, LotId> containers) {
    return ((Booking.Booked) back.booking(empty(), CAN, containers)).lines();
  }

  /** 0.9 L of the container goes back into it; nothing was opened on the job. */
  @Test
  void theRestOfAnOpenContainerGoesBackIntoIt() {
    ReturnOfIssue back = new ReturnOfIssue(List.of(CANS, POURED), litres("0.9"));
    assertThat(back.opened(CAN, OPENED)).isEmpty();
    assertThat(booked(back, Map.of()))
        .singleElement()
        .satisfies(
            line -> {
              assertThat(line.place()).isEqualTo(OPEN);
              assertThat(line.value()).isEqualTo(new Money(360, EUR));
              assertThat(line.refersTo()).contains(12L);
            });
  }

  /** Named, a can that nobody opened goes back sealed, although the container was picked last. */
  @Test
  void aWholeCanThatIsNamedGoesBackSealed() {
    ReturnOfIssue back = new ReturnOfIssue(List.of(CANS), CAN);
    assertThat(back.opened(CAN, OPENED)).isEmpty();
    assertThat(booked(back, Map.of()))
        .singleElement()
        .satisfies(
            line -> {
              assertThat(line.place()).isEqualTo(SEALED);
              assertThat(line.quantity()).isEqualTo(CAN);
            });
  }

  /**
   * Of the two cans one comes back whole and 0.7 L of the other: that one was opened on the job, so
   * the rest is a lot of its own. 5.7 L left with 22.80; the can takes 20.00 of it.
   */
  @Test
  void theRestOfACanOpenedOnTheJobIsALotOfItsOwn() {
    ReturnOfIssue back = new ReturnOfIssue(List.of(CANS), litres("5.7"));
    assertThat(back.opened(CAN, OPENED)).containsExactly(SEALED);
    List<MovementLine> lines = booked(back, Map.of(SEALED, new LotId(3)));
    assertThat(lines).extracting(MovementLine::kind).containsOnly(MovementKind.RETURN);
    assertThat(lines).extracting(MovementLine::refersTo).containsOnly(Optional.of(11L));
    assertThat(lines)
        .extracting(MovementLine::place)
        .containsExactly(SEALED, new LotInBin(OIL, new LotId(3), new BinId(1)));
    assertThat(lines).extracting(MovementLine::quantity).containsExactly(CAN, litres("0.7"));
    assertThat(lines)
        .extracting(MovementLine::value)
        .containsExactly(new Money(2_000, EUR), new Money(280, EUR));
  }

  /** All 11.4 L: the container first, then both cans, whole, with all that they left with. */
  @Test
  void allOfItGoesBackAsItLeft() {
    ReturnOfIssue back = new ReturnOfIssue(List.of(CANS, POURED), litres("11.4"));
    assertThat(back.opened(CAN, OPENED)).isEmpty();
    assertThat(booked(back, Map.of()))
        .extracting(MovementLine::value)
        .containsExactly(new Money(560, EUR), new Money(4_000, EUR));
    ReturnOfIssue more = new ReturnOfIssue(List.of(CANS, POURED), litres("11.41"));
    assertThat(more.booking(empty()))
        .isEqualTo(Booking.refused(new Refusal.MoreThanIssued(litres("11.41"), litres("11.4"))));
  }
}

package dev.lonja.core.reorder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.lonja.core.item.Criticality;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.order.Coming;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.supplier.Deliveries;
import dev.lonja.core.supplier.Prices;
import dev.lonja.core.trial.Band;
import dev.lonja.core.trial.TrialRules;
import dev.lonja.core.trial.TrialTotals;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/**
 * Ten trials from Monday 15 March 2027: in the first week they use 1, 2 … 10 pieces, in each of the
 * eleven after it 7, which is one a day. An order takes seven days, always.
 */
class ReorderingTest {

  private static final ItemId ITEM = new ItemId(1);
  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final LeadTime A_WEEK = new LeadTime(7, 0, 0, false);
  private static final Band USE = use();
  private static final Prices PRICES = Prices.of(price("10.00"));

  private static UnitPrice price(String one) {
    return UnitPrice.of(new BigDecimal(one), Currency.getInstance("EUR"));
  }

  private static Prices cheaperFrom(long pieces) {
    return new Prices(
        price("10.00"), List.of(new Prices.Break(Quantity.pieces(pieces), price("8.00"))));
  }

  private static Band use() {
    TrialTotals totals = new TrialTotals(new TrialRules(1, 10, TODAY, 12));
    for (int trial = 0; trial < 10; trial++) {
      totals.take(ITEM, trial, 0, (trial + 1) * 1_000L);
      for (int week = 1; week < 12; week++) {
        totals.take(ITEM, trial, week, 7_000);
      }
    }
    return totals.band(List.of(ITEM), Measure.PIECES);
  }

  private static OrderTerms terms(Criticality criticality, long least, Long most) {
    return terms(Deliveries.ANY_DAY, criticality, room(least, most, null));
  }

  private static OrderTerms terms(
      Deliveries deliveries, Criticality criticality, OrderTerms.Room room) {
    return new OrderTerms(
        A_WEEK, deliveries, criticality, PRICES, Quantity.pieces(10), Quantity.pieces(25), room);
  }

  private static OrderTerms.Room room(long least, Long most, Integer shelfDays) {
    return new OrderTerms.Room(
        Quantity.pieces(least),
        Optional.ofNullable(most).map(Quantity::pieces),
        Optional.ofNullable(shelfDays));
  }

  private static Reordering of(long free, OrderTerms terms, Coming... coming) {
    return of(USE, free, terms, coming);
  }

  /** The plan line expects one piece a day. */
  private static Reordering of(Band use, long free, OrderTerms terms, Coming... coming) {
    return Reordering.of(
        use,
        new Position(Quantity.pieces(free), List.of(coming)),
        terms,
        day -> Quantity.pieces(ChronoUnit.DAYS.between(TODAY, day) + 1),
        ITEM,
        1);
  }

  private static Coming coming(String day, long pieces) {
    return new Coming(LocalDate.parse(day), Quantity.pieces(pieces), new OrderId(7), "Cabo Norte");
  }

  private static final OrderTerms NORMAL = terms(Criticality.NORMAL, 0, null);

  /** Within 14 days 8 … 17 are used; 0.95 of ten trials are all of them, 0.85 nine. */
  @Test
  void theLevelIsWhatIsUsedUntilAnOrderOfTheNextReviewArrives() {
    assertThat(of(12, NORMAL).level()).isEqualTo(Quantity.pieces(17));
    assertThat(of(12, terms(Criticality.CONVENIENCE, 0, null)).level())
        .isEqualTo(Quantity.pieces(16));
    assertThat(of(16, NORMAL).isWanted()).isTrue();
    assertThat(of(17, NORMAL).isWanted()).isFalse();
    assertThat(of(12, terms(Criticality.NORMAL, 20, null)).level()).isEqualTo(Quantity.pieces(20));
  }

  /**
   * Of 12, an order of Wednesday arrives after nine days, on which the worst trial uses 10 + 2; a
   * day later it lacks one. If one trial of ten may lack something, it is a day later.
   */
  @Test
  void theLastDayOnWhichOrderingIsSoonEnough() {
    assertThat(of(12, NORMAL).orderBy()).contains(LocalDate.parse("2027-03-17"));
    assertThat(of(12, terms(Criticality.CONVENIENCE, 0, null)).orderBy())
        .contains(LocalDate.parse("2027-03-18"));
    assertThat(of(1_000, NORMAL).orderBy()).isEmpty();
    assertThat(of(1_000, NORMAL).isLate()).isFalse();
  }

  /** Of 9 the worst trial lacks one before an order of today arrives: 0.1 in the mean. */
  @Test
  void whatIsLateSaysWhatWillBeLacking() {
    Reordering late = of(9, NORMAL);
    assertThat(late.isLate()).isTrue();
    assertThat(late.orderBy()).isEmpty();
    assertThat(late.timing().shortfall().exactText()).isEqualTo("0.1");
  }

  /**
   * Within 63 days 66 are used at most: 54 more than 12, in tens 60; 6 more than 60 are 25 at
   * least.
   */
  @Test
  void theAmountReachesOverTheCoverInWholePacks() {
    assertThat(of(12, NORMAL).amount()).isEqualTo(Quantity.pieces(60));
    assertThat(of(60, NORMAL).amount()).isEqualTo(Quantity.pieces(30));
    assertThat(of(66, NORMAL).amount()).isEqualTo(Quantity.pieces(0));
  }

  /** Room for 38 takes 30; room for 10 takes less than the least, so nothing is ordered. */
  @Test
  void theBinsCapIt() {
    Reordering capped = of(12, terms(Criticality.NORMAL, 0, 50L));
    assertThat(capped.amount()).isEqualTo(Quantity.pieces(30));
    assertThat(capped.limit()).contains(Reordering.Limit.ROOM);
    Reordering none = of(60, terms(Criticality.NORMAL, 0, 70L));
    assertThat(none.amount()).isEqualTo(Quantity.pieces(0));
    assertThat(none.limit()).contains(Reordering.Limit.NO_ROOM_FOR_THE_LEAST);
    assertThat(of(12, terms(Criticality.NORMAL, 0, 80L)).limit()).isEmpty();
  }

  /** 8, 10, 9 and 13 days are 10 in the mean, √(14/3) = 2.1602 apart; three say nothing yet. */
  @Test
  void leadTimesAreLearnedFromReceipts() {
    LeadTime learned = LeadTime.of(List.of(8, 10, 9, 13), 20);
    assertThat(learned.mean()).isEqualTo(10);
    assertThat(learned.deviation()).isCloseTo(2.1602, within(0.0001));
    assertThat(learned.receipts()).isEqualTo(4);
    assertThat(LeadTime.of(List.of(8, 10, 9), 20)).isEqualTo(new LeadTime(20, 6, 0, false));
    assertThat(new LeadTime(10, 6, 0, false).isUnreliable()).isFalse();
    assertThat(new LeadTime(10, 6.1, 0, false).isUnreliable()).isTrue();
  }

  /** 25 ± 18 days are waited for twice: nobody may count on them. One piece is used a day. */
  @Test
  void unreliableSupplyIsReckonedWithTwice() {
    TrialTotals totals = new TrialTotals(new TrialRules(1, 1_000, TODAY, 52));
    for (int trial = 0; trial < 1_000; trial++) {
      for (int week = 0; week < 52; week++) {
        totals.take(ITEM, trial, week, 7_000);
      }
    }
    Band aDay = totals.band(List.of(ITEM), Measure.PIECES);
    Quantity once = of(aDay, 12, lead(25, 14)).level();
    Quantity twice = of(aDay, 12, lead(25, 18)).level();
    // a Gamma of 25 ± 14 days lies below 52 in 19 of 20 cases, one of 50 ± 25 below 97
    assertThat(once.amount().doubleValue()).isCloseTo(7 + 52, within(6.0));
    assertThat(twice.amount().doubleValue()).isCloseTo(7 + 97, within(9.0));
  }

  private static OrderTerms lead(double mean, double deviation) {
    return new OrderTerms(
        new LeadTime(mean, deviation, 4, false),
        Deliveries.ANY_DAY,
        Criticality.NORMAL,
        PRICES,
        Quantity.pieces(1),
        Quantity.pieces(1),
        room(0, null, null));
  }

  /** The ferry comes on Mondays and Thursdays and takes what is ordered up to Wednesday. */
  private static final Deliveries FERRY =
      new Deliveries(
          Set.of(DayOfWeek.MONDAY, DayOfWeek.THURSDAY),
          Optional.of(DayOfWeek.WEDNESDAY),
          List.of());

  /**
   * Ordered on Monday 22 it would be here on Monday 29, up to which 17 are used at most as on any
   * day. Of 12, an order of Wednesday 17 counts from then and arrives on Thursday 25, before which
   * the worst trial uses 10 + 3: too late. One of Tuesday 16 arrives on that Thursday too, one of
   * today on Monday 22.
   */
  @Test
  void onlyOnTheSupplierSDaysSomethingArrives() {
    OrderTerms ferry = terms(FERRY, Criticality.NORMAL, room(0, null, null));
    assertThat(of(12, ferry).level()).isEqualTo(Quantity.pieces(17));
    assertThat(of(12, ferry).orderBy()).contains(TODAY);
    assertThat(of(13, ferry).orderBy()).contains(LocalDate.parse("2027-03-17"));
    assertThat(of(12, ferry).timing().arrival()).isEqualTo(LocalDate.parse("2027-03-22"));
  }

  /**
   * Of 5, with 12 that are promised for Friday 26, nothing is below the level of 17, and 17 less
   * than before are ordered. Before an order of today arrives on the 22nd those 12 are not there
   * yet.
   */
  @Test
  void whatIsPromisedCountsOnItsDay() {
    Reordering promised = of(5, NORMAL, coming("2027-03-26", 12));
    assertThat(promised.isWanted()).isFalse();
    assertThat(promised.amount()).isEqualTo(of(17, NORMAL).amount());
    assertThat(promised.isLate()).isTrue();
    // beyond the arrival of an order of the next review, but within the cover
    Reordering later = of(5, NORMAL, coming("2027-03-31", 12));
    assertThat(later.isWanted()).isTrue();
    assertThat(later.amount()).isEqualTo(of(17, NORMAL).amount());
  }

  @Test
  void whatIsOverdueIsNamedAndNotOrderedAgain() {
    Reordering overdue = of(5, NORMAL, coming("2027-03-01", 61));
    assertThat(overdue.isWanted()).isTrue();
    assertThat(overdue.amount().isZero()).isTrue();
  }

  /**
   * It comes on the 22nd and keeps 30 days, to 21 April: 38 days with today, in which 38 are used
   * by the plan. Beside the 12 there are 26, in tens 20, which is less than the 25 that are the
   * least. With 40 days there are 36, in tens 30.
   */
  @Test
  void nothingIsOrderedThatGoesOutOfDate() {
    Reordering none = of(12, terms(Deliveries.ANY_DAY, Criticality.NORMAL, room(0, null, 30)));
    assertThat(none.amount().isZero()).isTrue();
    assertThat(none.limit()).contains(Reordering.Limit.LEAST_GOES_OUT_OF_DATE);
    Reordering some = of(12, terms(Deliveries.ANY_DAY, Criticality.NORMAL, room(0, null, 40)));
    assertThat(some.amount()).isEqualTo(Quantity.pieces(30));
    assertThat(some.limit()).contains(Reordering.Limit.SHELF_LIFE);
  }

  /** The worst trial uses 10 in the first week and one a day after it. */
  @Test
  void howLongAnAmountLasts() {
    LocalDate arrival = LocalDate.parse("2027-03-22");
    Position twelve = new Position(Quantity.pieces(12), List.of());
    // 12 + 3 = 10 + 5: five days from the 22nd, to the 26th
    assertThat(Lasting.until(USE, twelve, Quantity.pieces(3), arrival, 1))
        .contains(LocalDate.parse("2027-03-26"));
    // one of the ten may lack something: the next uses one less
    assertThat(Lasting.until(USE, twelve, Quantity.pieces(3), arrival, 0.9))
        .contains(LocalDate.parse("2027-03-27"));
    assertThat(Lasting.until(USE, twelve, Quantity.pieces(1_000), arrival, 1)).isEmpty();
  }

  /**
   * With 15 the worst trial lasts to the 26th. What comes on the 26th is there that day: its 4 add
   * four days. What comes on the 28th is too late for the 27th; what came before the arrival
   * counts.
   */
  @Test
  void whatIsOnTheWayLastsToo() {
    LocalDate arrival = LocalDate.parse("2027-03-22");
    Position inTime =
        new Position(
            Quantity.pieces(12),
            List.of(coming("2027-03-26", 4), coming("2027-12-24", 4), coming("2027-03-18", 1)));
    assertThat(Lasting.until(USE, inTime, Quantity.pieces(2), arrival, 1))
        .contains(LocalDate.parse("2027-03-30"));
    Position late = new Position(Quantity.pieces(12), List.of(coming("2027-03-28", 4)));
    assertThat(Lasting.until(USE, late, Quantity.pieces(3), arrival, 1))
        .contains(LocalDate.parse("2027-03-26"));
  }

  private static Reordering pricedAt(Prices prices, Long most) {
    OrderTerms terms = terms(Criticality.NORMAL, 0, most);
    return of(
        12,
        new OrderTerms(
            terms.lead(),
            terms.deliveries(),
            terms.criticality(),
            prices,
            terms.pack(),
            terms.smallest(),
            terms.room()));
  }

  /**
   * 60 are wanted anyway, and a year uses 365. From 200 on one costs 8.00 instead of 10.00: saved
   * are 200 x 2.00 = 400.00, and keeping the 140 more costs 140 x 8.00 x 18 % x (200 / 365) / 2 =
   * 55.23. Where one costs 9.70 it is 60.00 against 66.97: not worth it. Bins that hold 200 have no
   * room for them beside the 12.
   */
  @Test
  void whereOneCostsLessMoreIsOrdered() {
    Reordering raised = pricedAt(cheaperFrom(195), null);
    assertThat(raised.needed()).isEqualTo(Quantity.pieces(60));
    assertThat(raised.amount()).isEqualTo(Quantity.pieces(200));
    assertThat(pricedAt(cheaperFrom(195), 200L).amount()).isEqualTo(Quantity.pieces(60));
    Prices hardly =
        new Prices(price("10.00"), List.of(new Prices.Break(Quantity.pieces(200), price("9.70"))));
    assertThat(pricedAt(hardly, null).amount()).isEqualTo(Quantity.pieces(60));
  }

  /**
   * From 60 on one costs 9.00, which the 60 that are wanted cost anyway. From 100 on it is 8.90:
   * 100 x 0.10 = 10.00 against 40 x 8.90 x 18 % x (100 / 365) / 2 = 8.78 is taken. 8.85 from 200 on
   * is held against that: 200 x 0.05 = 10.00 against 100 x 8.85 x 18 % x (200 / 365) / 2 = 43.64.
   */
  @Test
  void eachBreakIsHeldAgainstWhatIsReached() {
    Prices stairs =
        new Prices(
            price("10.00"),
            List.of(
                new Prices.Break(Quantity.pieces(200), price("8.85")),
                new Prices.Break(Quantity.pieces(60), price("9.00")),
                new Prices.Break(Quantity.pieces(100), price("8.90"))));
    assertThat(pricedAt(stairs, null).amount()).isEqualTo(Quantity.pieces(100));
    assertThat(stairs.costOf(Quantity.pieces(59)).display()).isEqualTo("590.00 EUR");
    assertThat(stairs.costOf(Quantity.pieces(100)).display()).isEqualTo("890.00 EUR");
  }

  /** What was cancelled before any of it came is waited for twice, as what varies too much. */
  @Test
  void whatNeverCameIsNotCountedOn() {
    assertThat(A_WEEK.isUnreliable()).isFalse();
    assertThat(A_WEEK.thatNeverCame().isUnreliable()).isTrue();
    OrderTerms terms = terms(Criticality.NORMAL, 0, null);
    OrderTerms never =
        new OrderTerms(
            A_WEEK.thatNeverCame(),
            terms.deliveries(),
            terms.criticality(),
            terms.prices(),
            terms.pack(),
            terms.smallest(),
            terms.room());
    // a week more at one a day
    assertThat(of(12, never).level()).isEqualTo(of(12, terms).level().plus(Quantity.pieces(7)));
  }

  /** Many terms drawn by a fixed seed: no proposal breaks its pack, its least or its room. */
  @Test
  void noAmountBreaksItsTerms() {
    Random random = new Random(8);
    for (int i = 0; i < 2_000; i++) {
      long pack = 1 + random.nextInt(12);
      long smallest = 1 + random.nextInt(40);
      long position = random.nextInt(90);
      Optional<Quantity> most =
          random.nextBoolean()
              ? Optional.empty()
              : Optional.of(Quantity.pieces(random.nextInt(120)));
      OrderTerms terms =
          new OrderTerms(
              new LeadTime(1 + random.nextInt(20), random.nextInt(12), 0, false),
              random.nextBoolean() ? FERRY : Deliveries.ANY_DAY,
              Criticality.values()[random.nextInt(3)],
              random.nextBoolean() ? PRICES : cheaperFrom(1 + random.nextInt(150)),
              Quantity.pieces(pack),
              Quantity.pieces(smallest),
              new OrderTerms.Room(
                  Quantity.pieces(random.nextInt(30)),
                  most,
                  random.nextBoolean() ? Optional.empty() : Optional.of(10 + random.nextInt(60))));
      Reordering proposal = of(position, terms);
      long amount = proposal.amount().amount().longValueExact();
      assertThat(amount % pack).isZero();
      assertThat(amount == 0 || amount >= smallest).isTrue();
      most.ifPresent(
          m ->
              assertThat(amount == 0 || position + amount <= m.amount().longValueExact()).isTrue());
      boolean reaches =
          Quantity.pieces(position + amount).compareTo(proposal.level()) >= 0
              || proposal.limit().isPresent();
      assertThat(reaches).as("%s of %s", proposal, terms).isTrue();
    }
  }
}

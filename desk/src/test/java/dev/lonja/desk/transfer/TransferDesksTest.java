package dev.lonja.desk.transfer;

import static dev.lonja.desk.person.SecondPerson.Signature.NONE;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import dev.lonja.core.item.ItemBin;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.LotInBin;
import dev.lonja.core.ledger.MovementKind;
import dev.lonja.core.ledger.Refusal.NotEnough;
import dev.lonja.core.ledger.Refusal.NotTheirPlace;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.ledger.StockedLot;
import dev.lonja.core.place.BinId;
import dev.lonja.core.place.Place;
import dev.lonja.core.place.SatelliteId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.transfer.TransferId;
import dev.lonja.core.transfer.TransferState;
import dev.lonja.desk.Cage;
import dev.lonja.desk.forecast.ReadyTrials;
import dev.lonja.desk.forecast.Trials;
import dev.lonja.desk.ledger.LedgerRefusal;
import dev.lonja.desk.ledger.SignedPostings;
import dev.lonja.desk.ledger.StockDesk;
import dev.lonja.desk.ledger.StockRefusal;
import dev.lonja.desk.person.Pins;
import dev.lonja.desk.person.SecondPerson;
import dev.lonja.desk.person.Secrets;
import dev.lonja.desk.person.Tries;
import dev.lonja.desk.person.WorkPlaces;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.ledger.LedgerLine;
import dev.lonja.store.ledger.Posting;
import dev.lonja.store.place.TransferRepository.Stored;
import dev.lonja.store.request.RequestLog;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/**
 * The Slipway is a satellite with bin L-04 (10). Of item 8, a filter at 18.90, five lie in K-01 of
 * the main store.
 */
class TransferDesksTest {

  private static final ItemId FILTER = new ItemId(8);
  private static final ItemId CLIP = new ItemId(38);
  private static final BinId SLIP_BIN = new BinId(10);
  private static final Place SLIPWAY = Place.of(new SatelliteId(1));

  @RegisterExtension private final Cage cage = new Cage();
  private Trials trials;
  private TransferDesk desk;
  private ArrivalDesk arrivals;
  private StockDesk counter;

  @BeforeEach
  void open() {
    cage.write(
        session -> {
          session.places().add("Slipway");
          session.places().placeBins(Set.of(SLIP_BIN), SLIPWAY);
        });
    Pins pins = new Pins(new Secrets(new BCryptPasswordEncoder(4)), new Tries(cage.clock()));
    SignedPostings signed = new SignedPostings(new SecondPerson(pins, cage.clock()), cage.clock());
    trials = ReadyTrials.of(cage);
    desk = new TransferDesk(cage.store(), cage.once(), cage.clock(), trials);
    arrivals = new ArrivalDesk(cage.once(), cage.clock(), signed);
    counter = new StockDesk(cage.once(), cage.clock(), signed);
  }

  @Test
  void whatIsAskedForAgainBecomesMoreOfTheSameTransfer() {
    assertThat(ask("2")).isEqualTo(Outcome.done(new TransferId(1)));
    assertThat(ask("1")).isEqualTo(Outcome.done(new TransferId(1)));
    assertThat(transfer().lines())
        .singleElement()
        .satisfies(line -> assertThat(line.wanted()).isEqualTo(Quantity.pieces(3)));
  }

  @Test
  void nothingGoesFromAPlaceToItselfOrToOneThatIsNotThere() {
    List<TransferDesk.Amount> two = List.of(amount("2"));
    assertThat(desk.ask(cage.sent(), Place.MAIN, Place.MAIN, two))
        .isEqualTo(Outcome.refused(new TransferRefusal.NoSuchWay()));
    assertThat(desk.ask(cage.sent(), Place.MAIN, Place.of(new SatelliteId(9)), two))
        .isEqualTo(Outcome.refused(new TransferRefusal.NoSuchWay()));
    assertThat(Cage.reasons(ask("1.5")))
        .singleElement()
        .isInstanceOf(TransferRefusal.NotSoMuch.class);
    assertThat(transfers()).isEmpty();
  }

  @Test
  void whatIsPickedIsGivenToNobodyElseThough() {
    ask("4");
    assertThat(pick("4")).isEqualTo(Outcome.done());
    assertThat(free(Place.MAIN)).isEqualTo(Quantity.pieces(1));
    // the book has it where it was
    assertThat(cage.onHand(8)).isEqualTo(Quantity.pieces(5));
    assertThat(Cage.reasons(issue("2")))
        .singleElement()
        .isInstanceOfSatisfying(
            LedgerRefusal.class,
            refusal ->
                assertThat(((NotEnough) refusal.reason()).free()).isEqualTo(Quantity.pieces(1)));
  }

  @Test
  void noMoreIsPickedThanIsFree() {
    ask("6");
    assertThat(Cage.reasons(pick("6")))
        .singleElement()
        .isInstanceOfSatisfying(
            TransferRefusal.NotFree.class,
            not -> assertThat(not.free()).isEqualTo(Quantity.pieces(5)));
    assertThat(desk.pickAll(cage.sent(), new TransferId(1))).isEqualTo(Outcome.done());
    assertThat(transfer().lines().get(0).picked()).isEqualTo(Quantity.pieces(5));
  }

  @Test
  void oneLeavesWithWhatIsPickedAndIsNotPickedAfterwards() {
    ask("2");
    assertThat(desk.send(cage.sent(), new TransferId(1)))
        .isEqualTo(Outcome.refused(new TransferRefusal.NothingPicked()));
    pick("2");
    assertThat(desk.send(cage.sent(), new TransferId(1))).isEqualTo(Outcome.done());
    assertThat(pick("1"))
        .isEqualTo(
            Outcome.refused(
                new TransferRefusal.StandsElsewhere(new TransferId(1), TransferState.SENT)));
    // and what is asked for meanwhile goes with the next
    assertThat(ask("1")).isEqualTo(Outcome.done(new TransferId(2)));
  }

  @Test
  void whatComesMovesWithItsWorthAndTheRestIsStillOnItsWay() {
    sent("3");
    assertThat(came("2", "L-04")).isEqualTo(Outcome.done());
    assertThat(latest(2))
        .extracting(LedgerLine::kind, LedgerLine::binAddress, line -> line.value().minor())
        .containsExactly(
            tuple(MovementKind.TRANSFER, "L-04", 3_780L),
            tuple(MovementKind.TRANSFER, "K-01", -3_780L));
    assertThat(free(SLIPWAY)).isEqualTo(Quantity.pieces(2));
    // three lie in K-01 by the book, one of them is missed
    assertThat(free(Place.MAIN)).isEqualTo(Quantity.pieces(2));
    assertThat(transfer().state()).isEqualTo(TransferState.SENT);
  }

  @Test
  void itIsPutIntoABinOfThePlaceThatAsked() {
    sent("3");
    assertThat(came("3", "K-02"))
        .isEqualTo(Outcome.refused(new TransferRefusal.NotABinThere(FILTER, "K-02")));
    assertThat(cage.<Quantity>read(session -> session.ledger().stockOf(FILTER).onHand()))
        .isEqualTo(Quantity.pieces(5));
    assertThat(free(SLIPWAY)).isEqualTo(Quantity.pieces(0));
  }

  @Test
  void moreMayComeThanWasWrittenDown() {
    sent("3");
    assertThat(came("4", "L-04")).isEqualTo(Outcome.done());
    assertThat(free(SLIPWAY)).isEqualTo(Quantity.pieces(4));
    assertThat(transfer().state()).isEqualTo(TransferState.CLOSED);
    assertThat(free(Place.MAIN)).isEqualTo(Quantity.pieces(1));
  }

  @Test
  void whatIsLostLeavesTheBook() {
    sent("3");
    came("2", "L-04");
    assertThat(settle(ArrivalDesk.Fate.LOST)).isEqualTo(Outcome.done());
    assertThat(latest(1))
        .extracting(LedgerLine::kind, LedgerLine::binAddress, line -> line.value().minor())
        .containsExactly(tuple(MovementKind.ADJUSTMENT, "K-01", -1_890L));
    assertThat(latest(1).get(0).cause().reference()).isEqualTo("TF-1");
    assertThat(cage.onHand(8)).isEqualTo(Quantity.pieces(4));
    assertThat(transfer().state()).isEqualTo(TransferState.CLOSED);
    assertThat(settle(ArrivalDesk.Fate.LOST)).isInstanceOf(Outcome.Refused.class);
  }

  @Test
  void whatNeverLeftIsFreeAgainAndNothingIsBooked() {
    sent("3");
    came("2", "L-04");
    assertThat(settle(ArrivalDesk.Fate.STAYED)).isEqualTo(Outcome.done());
    assertThat(cage.onHand(8)).isEqualTo(Quantity.pieces(5));
    assertThat(free(Place.MAIN)).isEqualTo(Quantity.pieces(3));
    assertThat(transfer().endedAt()).isPresent();
  }

  @Test
  void theSameArrivalTwiceIsOne() {
    sent("3");
    Sent once = cage.sent();
    List<ArrivalDesk.Came> two = List.of(new ArrivalDesk.Came(FILTER, new BigDecimal("2"), "L-04"));
    assertThat(arrivals.receive(once, new TransferId(1), two)).isEqualTo(Outcome.done());
    assertThat(arrivals.receive(once, new TransferId(1), two)).isEqualTo(Outcome.done());
    assertThat(free(SLIPWAY)).isEqualTo(Quantity.pieces(2));
  }

  @Test
  void whatIsGivenUpIsFreeAgain() {
    ask("4");
    pick("4");
    assertThat(desk.drop(cage.sent(), new TransferId(1))).isEqualTo(Outcome.done());
    assertThat(free(Place.MAIN)).isEqualTo(Quantity.pieces(5));
    assertThat(came("1", "L-04")).isInstanceOf(Outcome.Refused.class);
  }

  @Test
  void whoWorksAtTheSatelliteTakesInAndBooksThereAlone() {
    cage.write(
        session ->
            session
                .places()
                .grant(session.people().byName("storekeeper").orElseThrow().id(), Set.of(SLIPWAY)));
    ask("2");
    assertThat(pick("2"))
        .isEqualTo(
            Outcome.refused(
                new WorkPlaces.NotYours(
                    "storekeeper", cage.read(session -> session.settings().storeName()))));
    assertThat(Cage.reasons(issue("1")))
        .singleElement()
        .isInstanceOfSatisfying(
            LedgerRefusal.class,
            refusal -> assertThat(refusal.reason()).isInstanceOf(NotTheirPlace.class));
    assertThat(cage.onHand(8)).isEqualTo(Quantity.pieces(5));
  }

  /**
   * By hand nothing new goes from K-01 to L-04; what is set aside does, since no transfer has it.
   */
  @Test
  void nothingNewGoesToAnotherPlaceButByTransfer() {
    assertThat(Cage.reasons(onLot(StockDesk.OnLot.TRANSFER, 8)))
        .singleElement()
        .isInstanceOfSatisfying(
            StockRefusal.AtAnotherPlace.class,
            away -> assertThat(away.place()).isEqualTo("Slipway"));
    assertThat(onLot(StockDesk.OnLot.QUARANTINE, 8)).isEqualTo(Outcome.done());
    LotId aside =
        cage.read(session -> session.ledger().stockOf(FILTER)).lots().stream()
            .filter(StockedLot::quarantined)
            .findFirst()
            .orElseThrow()
            .place()
            .lotId();
    assertThat(onLot(StockDesk.OnLot.TRANSFER, aside.value())).isEqualTo(Outcome.done());
  }

  private Outcome onLot(StockDesk.OnLot what, long lot) {
    return counter.onLot(
        cage.sent(),
        FILTER,
        new StockDesk.LotBooking(
            what, new LotId(lot), new BinId(1), BigDecimal.ONE, "L-04", "carried over"),
        NONE);
  }

  @Test
  void whoWorksAtEitherOfTheTwoMayAsk() {
    for (Place place : List.of(Place.MAIN, SLIPWAY)) {
      cage.write(
          session ->
              session
                  .places()
                  .grant(session.people().byName("storekeeper").orElseThrow().id(), Set.of(place)));
      assertThat(ask("1")).isEqualTo(Outcome.done(new TransferId(1)));
    }
  }

  /**
   * Sixteen hose clips lie in L-03. The slipway is to hold two to four, the main store at least
   * six: ten are to spare, and four go. Once they are asked for, nothing more is proposed.
   */
  @Test
  void aSatelliteBelowItsLeastIsFilledUpFromTheMainStore() {
    cage.write(
        session ->
            session
                .keeping()
                .setBins(
                    CLIP, List.of(bin(new BinId(9), "L-03", 6, 20), bin(SLIP_BIN, "L-04", 2, 4))));
    assertThat(refills())
        .filteredOn(one -> one.item().id().equals(CLIP))
        .singleElement()
        .satisfies(
            one -> {
              assertThat(one.to()).isEqualTo(SLIPWAY);
              assertThat(one.level()).isEqualTo(Quantity.pieces(2));
              assertThat(one.spare()).isEqualTo(Quantity.pieces(10));
              assertThat(one.amount()).isEqualTo(Quantity.pieces(4));
            });
    List<TransferDesk.Amount> four = List.of(new TransferDesk.Amount(CLIP, new BigDecimal("4")));
    desk.ask(cage.sent(), Place.MAIN, SLIPWAY, four);
    assertThat(refills()).noneMatch(one -> one.item().id().equals(CLIP));
  }

  /**
   * In each of 26 weeks two clips were used at the slipway, so in every trial two are used in a
   * week to come, and sixteen in eight. One that is left there lacks fifteen of what is used in the
   * eight weeks that it is filled up for; of sixteen in the main store a boat wants two, so
   * fourteen go.
   */
  @Test
  void aSatelliteIsFilledUpForWhatIsUsedThere() {
    useEveryWeek(1);
    assertThat(refills())
        .filteredOn(one -> one.item().id().equals(CLIP))
        .singleElement()
        .satisfies(
            one -> {
              assertThat(one.level()).isEqualTo(Quantity.pieces(2));
              assertThat(one.amount()).isEqualTo(Quantity.pieces(14));
              assertThat(one.spare()).isEqualTo(Quantity.pieces(14));
            });
  }

  /** Two that are left last until the next look. */
  @Test
  void aSatelliteThatHasItsLevelIsNotFilledUp() {
    useEveryWeek(2);
    assertThat(refills()).noneMatch(one -> one.item().id().equals(CLIP));
  }

  /** Two clips a week, of those that came there before; so many are left. */
  private void useEveryWeek(long left) {
    LocalDate monday = Cage.TODAY.minusWeeks(26);
    book(
        monday.minusDays(1),
        stock ->
            Ledger.receive(
                stock,
                new LotInBin(CLIP, new LotId(37), SLIP_BIN),
                Quantity.pieces(52 + left),
                Money.zero(stock.value().currency())));
    for (int week = 0; week < 26; week++) {
      book(
          monday.plusWeeks(week),
          stock -> Ledger.issue(stock, Quantity.pieces(2), Quantity.pieces(0), Cage.TODAY));
    }
  }

  /** Books what lies in the slipway's bin at noon of a day. */
  private void book(LocalDate day, Function<ItemStock, Booking> rule) {
    Sent sent = cage.sent();
    Instant noon = day.atTime(12, 0).toInstant(ZoneOffset.UTC);
    cage.write(
        session -> {
          session
              .requests()
              .add(
                  sent.key(),
                  new RequestLog.Entry("", ""),
                  sent.actor(),
                  RequestLog.Times.at(noon));
          ItemStock stock = session.ledger().stockOf(StockKey.ofNew(CLIP)).within(Set.of(SLIP_BIN));
          session
              .ledger()
              .append(
                  ((Booking.Booked) rule.apply(stock)).lines(),
                  new Posting("hoists", "", sent.key(), sent.actor(), noon),
                  1);
        });
  }

  private List<Refills.Proposal> refills() {
    ReadyTrials.settled(trials);
    return desk.overview().refills();
  }

  private static ItemBin bin(BinId id, String address, long least, long most) {
    return new ItemBin(id, address, Quantity.pieces(least), Quantity.pieces(most));
  }

  private Outcome ask(String amount) {
    return desk.ask(cage.sent(), Place.MAIN, SLIPWAY, List.of(amount(amount)));
  }

  private Outcome pick(String amount) {
    return desk.pick(cage.sent(), new TransferId(1), List.of(amount(amount)));
  }

  private void sent(String amount) {
    ask(amount);
    pick(amount);
    assertThat(desk.send(cage.sent(), new TransferId(1))).isEqualTo(Outcome.done());
  }

  private Outcome came(String amount, String bin) {
    return arrivals.receive(
        cage.sent(),
        new TransferId(1),
        List.of(new ArrivalDesk.Came(FILTER, new BigDecimal(amount), bin)));
  }

  private Outcome settle(ArrivalDesk.Fate fate) {
    return arrivals.settle(cage.sent(), new TransferId(1), FILTER, fate, NONE);
  }

  private Outcome issue(String amount) {
    return counter.issue(
        cage.sent(), StockKey.ofNew(FILTER), Place.MAIN, new BigDecimal(amount), "yard");
  }

  private static TransferDesk.Amount amount(String amount) {
    return new TransferDesk.Amount(FILTER, new BigDecimal(amount));
  }

  private List<Stored> transfers() {
    return cage.read(session -> session.transfers().open());
  }

  private Stored transfer() {
    return cage.<Optional<Stored>>read(session -> session.transfers().byId(new TransferId(1)))
        .orElseThrow();
  }

  private Quantity free(Place place) {
    return cage.<Map<StockKey, Quantity>>read(
            session -> session.placeStock().free(Cage.TODAY, place))
        .getOrDefault(StockKey.ofNew(FILTER), Quantity.pieces(0));
  }

  private List<LedgerLine> latest(int most) {
    return cage.read(session -> session.ledger().latest(FILTER, most));
  }
}

package dev.lonja.desk.ledger;

import static dev.lonja.desk.person.SecondPerson.Signature.NONE;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.item.ItemBin;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.Refusal.NotEnough;
import dev.lonja.core.ledger.Refusal.SameBin;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.ledger.StockedLot;
import dev.lonja.core.person.PersonId;
import dev.lonja.core.person.PersonName;
import dev.lonja.core.person.Role;
import dev.lonja.core.place.BinId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.Cage;
import dev.lonja.desk.person.Pins;
import dev.lonja.desk.person.SecondPerson;
import dev.lonja.desk.person.SecondRefusal;
import dev.lonja.desk.person.Secrets;
import dev.lonja.desk.person.Tries;
import dev.lonja.desk.request.Outcome;
import dev.lonja.store.audit.AuditLine;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.person.Person;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/**
 * Bookings over the counter. Item 8 is a filter, five of lot 8 in bin 1 (K-01); item 1 is a 205 L
 * drum, item 3 a 200 L drum of another product, which stands in M-2.
 */
class StockDeskTest {

  private static final Currency EURO = Currency.getInstance("EUR");
  private static final ItemId DRUM = new ItemId(1);
  private static final ItemId FILTER = new ItemId(8);

  @RegisterExtension private final Cage cage = new Cage();
  private StockDesk desk;

  @BeforeEach
  void open() {
    desk = new StockDesk(cage.once(), cage.clock(), new SignedPostings(second(), cage.clock()));
  }

  private final Secrets secrets = new Secrets(new BCryptPasswordEncoder(4));

  private SecondPerson second() {
    return new SecondPerson(new Pins(secrets, new Tries(cage.clock())), cage.clock());
  }

  private static BigDecimal amount(String text) {
    return new BigDecimal(text);
  }

  @Test
  void anIssueLeavesTheRest() {
    assertThat(desk.issue(cage.sent(), StockKey.ofNew(FILTER), Place.MAIN, amount("2"), "yard"))
        .isInstanceOf(Outcome.Done.class);
    assertThat(cage.onHand(8)).isEqualTo(Quantity.pieces(3));
  }

  @Test
  void moreThanIsThereIsRefusedWithWhatIsFree() {
    assertThat(
            Cage.reasons(
                desk.issue(cage.sent(), StockKey.ofNew(FILTER), Place.MAIN, amount("6"), "yard")))
        .singleElement()
        .isInstanceOfSatisfying(
            LedgerRefusal.class,
            refusal -> {
              assertThat(refusal.item().id()).isEqualTo(FILTER);
              assertThat(refusal.reason())
                  .isInstanceOfSatisfying(
                      NotEnough.class,
                      less -> assertThat(less.free()).isEqualTo(Quantity.pieces(5)));
            });
    assertThat(cage.onHand(8)).isEqualTo(Quantity.pieces(5));
  }

  private Receiving.Receipt into(String bin, String amount) {
    return new Receiving.Receipt(
        amount(amount),
        "N-1",
        bin,
        Optional.empty(),
        amount("20"),
        "note 7",
        Optional.empty(),
        Receiving.Answers.NONE);
  }

  @Test
  void aReceiptNeedsABinThatThereIs() {
    assertThat(Cage.reasons(desk.receive(cage.sent(), FILTER, into("Q-99", "4"))))
        .isEqualTo(List.of(new StockRefusal.UnknownBin("Q-99")));
    desk.receive(cage.sent(), FILTER, into("k-02", "4"));
    assertThat(cage.onHand(8)).isEqualTo(Quantity.pieces(9));
  }

  /** The tap in M-2 is that of the other drum's product. */
  @Test
  void aDrumIsKeptFromTheStandOfAnother() {
    assertThat(Cage.reasons(desk.receive(cage.sent(), DRUM, into("M-2", "205"))))
        .singleElement()
        .isInstanceOfSatisfying(
            StockRefusal.StandHoldsOther.class,
            stand -> {
              assertThat(stand.bin().address()).isEqualTo("M-2");
              assertThat(List.of(stand.coming(), stand.there()))
                  .extracting(Product::name)
                  .containsExactly("Ola", "Verde");
            });
  }

  /**
   * In M-1 lie 121.5 L less what was drawn; it is to hold 300 L, so that a second drum fits once.
   */
  @Test
  void aDrumGoesOnlyWhereThereIsRoom() {
    Quantity there = cage.onHand(1);
    Quantity most = Quantity.litres("300");
    BinId stand =
        cage.<BinId>read(session -> session.items().binByAddress("M-1").orElseThrow().id());
    cage.write(
        session ->
            session
                .keeping()
                .setBins(
                    DRUM,
                    List.of(new ItemBin(stand, "M-1", Quantity.zero(there.measure()), most))));
    Quantity room = most.minus(there);
    assertThat(Cage.reasons(desk.receive(cage.sent(), DRUM, into("M-1", "205"))))
        .singleElement()
        .isInstanceOfSatisfying(
            StockRefusal.NoRoom.class, full -> assertThat(full.room()).isEqualTo(room));
    assertThat(desk.receive(cage.sent(), DRUM, into("M-1", room.amount().toPlainString())))
        .isInstanceOf(Outcome.Done.class);
    assertThat(cage.onHand(1)).isEqualTo(most);
  }

  private StockDesk.LotBooking transfer(long lot, String to) {
    return new StockDesk.LotBooking(
        StockDesk.OnLot.TRANSFER, new LotId(lot), new BinId(1), amount("1"), to, "tidied");
  }

  /** Lot 9 is of another filter; where a transfer goes is wrong too, and both are told. */
  @Test
  void aTransferNamesEveryWrongEnd() {
    assertThat(Cage.reasons(desk.onLot(cage.sent(), FILTER, transfer(9, "Q-99"), NONE)))
        .isEqualTo(
            List.of(
                new StockRefusal.UnknownBin("Q-99"),
                new StockRefusal.NoSuchPlace(new LotId(9), new BinId(1))));
  }

  @Test
  void aTransferGoesToAnotherBin() {
    assertThat(Cage.reasons(desk.onLot(cage.sent(), FILTER, transfer(8, "K-01"), NONE)))
        .singleElement()
        .isInstanceOfSatisfying(
            LedgerRefusal.class, refusal -> assertThat(refusal.reason()).isEqualTo(new SameBin()));
    assertThat(desk.onLot(cage.sent(), FILTER, transfer(8, "K-03"), NONE))
        .isInstanceOf(Outcome.Done.class);
    assertThat(cage.onHand(8)).isEqualTo(Quantity.pieces(5));
  }

  /** Movement 1 is the drum's: it is not corrected through the filter. */
  @Test
  void aMovementIsCorrectedOnItsOwnItemOnly() {
    assertThat(Cage.reasons(desk.correct(cage.sent(), FILTER, 1, "wrong", NONE)))
        .isEqualTo(List.of(new StockRefusal.NoSuchMovement(1)));
    desk.correct(cage.sent(), FILTER, 8, "wrong", NONE);
    assertThat(cage.onHand(8)).isEqualTo(Quantity.pieces(0));
  }

  private StockDesk.LotBooking scrap(String amount) {
    return new StockDesk.LotBooking(
        StockDesk.OnLot.SCRAP, new LotId(8), new BinId(1), amount(amount), "", "got wet");
  }

  /**
   * Above a value that the store sets a second person signs, by name or badge and PIN. Five of the
   * filter cost 94.50, so two are worth 37.80, above 20.00, and one is 18.90, not above it.
   */
  @Test
  void whatIsWorthMoreNeedsASecondPerson() {
    cage.write(
        session -> {
          session.settings().setMostAlone(Optional.of(Money.of(amount("20"), EURO)));
          PersonId ana = session.people().add(new PersonName("Ana"), Set.of(Role.STOREKEEPER));
          session.people().setPin(ana, Optional.of(new BCryptPasswordEncoder(4).encode("4711")));
          PersonId bo = session.people().add(new PersonName("Bo"), Set.of(Role.WORKSHOP));
          session.people().setPin(bo, Optional.of(new BCryptPasswordEncoder(4).encode("4711")));
        });
    assertThat(desk.onLot(cage.sent(), FILTER, scrap("1"), NONE)).isInstanceOf(Outcome.Done.class);
    assertThat(Cage.reasons(desk.onLot(cage.sent(), FILTER, scrap("2"), NONE)))
        .hasOnlyElementsOfType(SecondRefusal.NeedsSecond.class);
    assertThat(Cage.reasons(desk.onLot(cage.sent(), FILTER, scrap("2"), by("Ana", "4712"))))
        .isEqualTo(List.of(new SecondRefusal.NotTheirs()));
    assertThat(Cage.reasons(desk.onLot(cage.sent(), FILTER, scrap("2"), by("Bo", "4711"))))
        .as("who keeps no store cannot sign")
        .isEqualTo(List.of(new SecondRefusal.NotTheirs()));
    assertThat(cage.onHand(8)).isEqualTo(Quantity.pieces(4));
    assertThat(desk.onLot(cage.sent(), FILTER, scrap("2"), by(" ana ", "4711")))
        .isInstanceOf(Outcome.Done.class);
    assertThat(cage.onHand(8)).isEqualTo(Quantity.pieces(2));
    assertThat(
            cage.<List<AuditLine>>read(session -> session.audit().latest(Matter.ITEM, FILTER, 5)))
        .extracting(AuditLine::deed, line -> line.after().byField().get("second_person"))
        .containsExactly(tuple(Deed.SIGNED, "Ana"));
  }

  /** The second one is somebody else. */
  @Test
  void nobodySignsTwice() {
    cage.write(
        session -> {
          session.settings().setMostAlone(Optional.of(Money.of(amount("0"), EURO)));
          Person own = session.people().byName("storekeeper").orElseThrow();
          session
              .people()
              .setPin(own.id(), Optional.of(new BCryptPasswordEncoder(4).encode("4711")));
        });
    assertThat(Cage.reasons(desk.onLot(cage.sent(), FILTER, scrap("1"), by("storekeeper", "4711"))))
        .isEqualTo(List.of(new SecondRefusal.SamePerson()));
  }

  private static SecondPerson.Signature by(String who, String pin) {
    return new SecondPerson.Signature(who, pin);
  }

  private Outcome delivered(String lot, String goodThrough, Receiving.Answers answers) {
    return desk.receive(
        cage.sent(),
        FILTER,
        new Receiving.Receipt(
            amount("1"),
            lot,
            "K-01",
            Optional.of(goodThrough).filter(day -> !day.isEmpty()).map(LocalDate::parse),
            amount("20"),
            "",
            Optional.empty(),
            answers));
  }

  private List<StockedLot> lots() {
    return cage.read(session -> session.ledger().stockOf(FILTER).lots());
  }

  /** A filter needs no lot; it counts by the day it came. */
  @Test
  void whatKeepsForEverNeedsNoLotAndNoNote() {
    assertThat(delivered("", "", Receiving.Answers.NONE)).isInstanceOf(Outcome.Done.class);
    assertThat(
            cage.<Boolean>read(
                session -> session.lots().lotByCode(FILTER, "2027-03-15").isPresent()))
        .isTrue();
    assertThat(
            Cage.reasons(
                desk.receive(
                    cage.sent(),
                    DRUM,
                    new Receiving.Receipt(
                        amount("205"),
                        "",
                        "M-1",
                        Optional.empty(),
                        amount("20"),
                        "",
                        Optional.empty(),
                        Receiving.Answers.NONE))))
        .containsExactly(new StockRefusal.LotNeeded());
  }

  @Test
  void aLotThatComesWithAnotherDateIsAskedAboutAndKeptApart() {
    delivered("N-7", "2028-03-15", Receiving.Answers.NONE);
    assertThat(delivered("N-7", "2028-03-15", Receiving.Answers.NONE))
        .isInstanceOf(Outcome.Done.class);
    assertThat(delivered("N-7", "", Receiving.Answers.NONE)).isInstanceOf(Outcome.Done.class);
    assertThat(Cage.reasons(delivered("N-7", "2029-03-15", Receiving.Answers.NONE)))
        .containsExactly(
            new StockRefusal.OtherExpiry(
                "N-7", Optional.of(LocalDate.parse("2028-03-15")), LocalDate.parse("2029-03-15")));
    assertThat(delivered("N-7", "2029-03-15", new Receiving.Answers(true, false)))
        .isInstanceOf(Outcome.Done.class);
    assertThat(lots())
        .filteredOn(lot -> lot.expiresOn().isPresent())
        .extracting(lot -> lot.expiresOn().get() + " " + lot.quantity().display())
        .containsExactlyInAnyOrder("2028-03-15 3", "2029-03-15 1");
  }

  /** Good through today is good; good through yesterday is not. */
  @Test
  void whatIsExpiredOnArrivalGoesBackOrIntoQuarantine() {
    assertThat(delivered("N-8", "2027-03-15", Receiving.Answers.NONE))
        .isInstanceOf(Outcome.Done.class);
    assertThat(Cage.reasons(delivered("N-9", "2027-03-14", Receiving.Answers.NONE)))
        .containsExactly(
            new StockRefusal.ExpiredOnArrival(LocalDate.parse("2027-03-14"), Cage.TODAY));
    assertThat(delivered("N-9", "2027-03-14", new Receiving.Answers(false, true)))
        .isInstanceOf(Outcome.Done.class);
    assertThat(lots())
        .filteredOn(StockedLot::quarantined)
        .singleElement()
        .satisfies(lot -> assertThat(lot.expiresOn()).contains(LocalDate.parse("2027-03-14")));
  }

  /** Of five, two go into quarantine and one comes back: four free, five there, worth the same. */
  @Test
  void partOfALotIsQuarantinedAndReleasedUnderItsCode() {
    Money worth = cage.read(session -> session.ledger().stockOf(FILTER).value());
    LotId lot = new LotId(8);
    onLot(StockDesk.OnLot.QUARANTINE, lot, "2");
    LotId aside =
        lots().stream().filter(StockedLot::quarantined).findFirst().orElseThrow().place().lotId();
    assertThat(free()).isEqualTo(Quantity.pieces(3));
    assertThat(Cage.reasons(book(StockDesk.OnLot.QUARANTINE, aside, "1")))
        .containsExactly(new StockRefusal.SetAsideAlready(true));
    onLot(StockDesk.OnLot.RELEASE, aside, "1");
    assertThat(free()).isEqualTo(Quantity.pieces(4));
    assertThat(cage.onHand(8)).isEqualTo(Quantity.pieces(5));
    assertThat(cage.<Money>read(session -> session.ledger().stockOf(FILTER).value()))
        .isEqualTo(worth);
    assertThat(Cage.reasons(book(StockDesk.OnLot.RELEASE, aside, "2"))).hasSize(1);
  }

  private Quantity free() {
    return cage.read(session -> session.ledger().free(Cage.TODAY).get(FILTER));
  }

  private void onLot(StockDesk.OnLot what, LotId lot, String amount) {
    assertThat(book(what, lot, amount)).isInstanceOf(Outcome.Done.class);
  }

  private Outcome book(StockDesk.OnLot what, LotId lot, String amount) {
    return desk.onLot(
        cage.sent(),
        FILTER,
        new StockDesk.LotBooking(what, lot, new BinId(1), amount(amount), "", "dented"),
        SecondPerson.Signature.NONE);
  }
}

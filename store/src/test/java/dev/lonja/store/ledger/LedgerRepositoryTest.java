package dev.lonja.store.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.LotInBin;
import dev.lonja.core.ledger.MovementKind;
import dev.lonja.core.ledger.MovementLine;
import dev.lonja.core.ledger.PastMovement;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.place.BinId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.TrayId;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.Stores;
import dev.lonja.store.request.RequestLog;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The example's item 8, an oil filter: lot 8 in bin 1, five pieces for 94.50 EUR. */
class LedgerRepositoryTest {

  private static final ItemId FILTER = new ItemId(8);
  private static final ItemId BRISA = new ItemId(6);
  private static final Currency EUR = Currency.getInstance("EUR");
  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final Quantity NONE = Quantity.pieces(0);

  @TempDir private Path folder;
  private LonjaStore store;
  private int requests;

  @BeforeEach
  void open() {
    store = Stores.example(folder);
  }

  @AfterEach
  void close() {
    store.close();
  }

  @Test
  void onHandIsTheSumOfMovements() {
    book(stock -> Ledger.issue(stock, Quantity.pieces(2), NONE, TODAY));
    ItemStock stock = stock(FILTER);
    assertThat(stock.onHand()).isEqualTo(Quantity.pieces(3));
    assertThat(stock.value()).isEqualTo(new Money(5_670, EUR));
    assertThat(stock.average()).isEqualTo(new UnitPrice(18_900_000, EUR));
  }

  /** 2 more for 20.00: 114.50 over 7 pieces are 1,635.7143 cents each. */
  @Test
  void theAverageIsKeptWithEachLine() {
    book(
        stock ->
            Ledger.receive(
                stock,
                new LotInBin(FILTER, new LotId(8), new BinId(1)),
                Quantity.pieces(2),
                new Money(2_000, EUR)));
    assertThat(stock(FILTER).average()).isEqualTo(new UnitPrice(16_357_143, EUR));
    LedgerLine line = store.read(session -> session.ledger().latest(FILTER, 1)).get(0);
    assertThat(line.kind()).isEqualTo(MovementKind.RECEIPT);
    assertThat(line.average()).isEqualTo(new UnitPrice(16_357_143, EUR));
    assertThat(line.cause().reference()).isEqualTo("T-0001");
  }

  @Test
  void aPlaceIsALotOfTheItemInABinThatExists() {
    assertThat(place(FILTER, new LotId(8), new BinId(1)))
        .contains(new LotInBin(FILTER, new LotId(8), new BinId(1)));
    assertThat(place(FILTER, new LotId(1), new BinId(1))).isEmpty();
    assertThat(place(BRISA, new LotId(8), new BinId(1))).isEmpty();
    assertThat(place(FILTER, new LotId(8), new BinId(999))).isEmpty();
  }

  private Optional<LotInBin> place(ItemId itemId, LotId lotId, BinId binId) {
    return store.<Optional<LotInBin>>read(session -> session.ledger().place(itemId, lotId, binId));
  }

  /** The last guard is the file's own: not even a statement by hand books another item's lot. */
  @Test
  void theFileRefusesAnotherItemsLot() {
    String statement =
        "INSERT INTO movement VALUES (900, 1, 8, 1, 'RECEIPT', 5000000, 0, 0, '', '', NULL,"
            + " 'cage-open-001', 999, 'me', '2027-03-15T08:00:00Z')";
    assertThatThrownBy(() -> Stores.tamper(store, "PRAGMA foreign_keys = ON", statement))
        .hasMessageContaining("FOREIGN KEY constraint failed");
  }

  /** The bottles of Brisa were good through 31 January 2027. */
  @Test
  void expiredAndQuarantinedLotsAreOnHandButNotUsable() {
    assertThat(stock(BRISA).onHand()).isEqualTo(Quantity.litres("7"));
    assertThat(usable(BRISA, "2027-01-31")).contains(Quantity.litres("7"));
    assertThat(usable(BRISA, "2027-02-01")).isEmpty();
    store.write(
        session -> {
          LotId lot = session.lots().addQuarantinedLot(FILTER, "Q-1", TODAY);
          write(
              session,
              Ledger.receive(
                  session.ledger().stockOf(FILTER),
                  new LotInBin(FILTER, lot, new BinId(1)),
                  Quantity.pieces(1),
                  new Money(0, EUR)));
          return true;
        });
    assertThat(stock(FILTER).onHand()).isEqualTo(Quantity.pieces(6));
    assertThat(usable(FILTER, "2027-03-15")).contains(Quantity.pieces(5));
  }

  @Test
  void whatOpenTraysHoldIsNotFree() {
    TrayId trayId =
        store.write(
            session -> {
              TrayId id =
                  session.trays().add(new UnitId(1), "Service", TODAY, List.of(new TaskId(2)));
              session
                  .trayLines()
                  .addLine(
                      id,
                      FILTER,
                      "Oil filter",
                      new LineReason.Part(""),
                      Quantity.pieces(2),
                      Destination.NONE);
              long line = session.trays().byId(id).orElseThrow().lines().get(0).id();
              session.trayLines().setLaid(line, Quantity.pieces(2));
              return id;
            });
    assertThat(free()).contains(Quantity.pieces(3));
    assertThat(
            store.<Map<StockKey, Quantity>>read(
                session -> session.placeStock().heldBesides(trayId, Place.MAIN)))
        .isEmpty();
    store.write(session -> session.trays().handOver(trayId, 0, "workshop", TODAY));
    assertThat(free()).contains(Quantity.pieces(5));
  }

  @Test
  void pastMovementsKnowWhatCameBackOfThem() {
    book(stock -> Ledger.issue(stock, Quantity.pieces(3), NONE, TODAY));
    List<PastMovement> issue =
        store
            .read(session -> session.pastMovements().issuesOf("T-0001"))
            .get(StockKey.ofNew(FILTER));
    book(stock -> Ledger.takeBack(stock, issue, Quantity.pieces(1)));
    PastMovement past =
        store
            .read(session -> session.pastMovements().issuesOf("T-0001"))
            .get(StockKey.ofNew(FILTER))
            .get(0);
    assertThat(past.answeredQuantity()).isEqualTo(Quantity.pieces(1));
    assertThat(past.answeredValue()).isEqualTo(new Money(1_890, EUR));
    assertThat(past.stillOut()).isEqualTo(Quantity.pieces(2));
  }

  @Test
  void bothHalvesOfATransferAreFoundTogether() {
    book(
        stock ->
            Ledger.transfer(
                stock,
                new LotInBin(FILTER, new LotId(8), new BinId(1)),
                new BinId(2),
                Quantity.pieces(2)));
    List<LedgerLine> lines = store.read(session -> session.ledger().latest(FILTER, 2));
    for (LedgerLine line : lines) {
      assertThat(
              store.<List<PastMovement>>read(
                  session -> session.pastMovements().undoneTogether(line.id())))
          .extracting(PastMovement::quantity)
          .containsExactly(Quantity.pieces(-2), Quantity.pieces(2));
    }
    long receipt = store.read(session -> session.ledger().latest(FILTER, 3)).get(2).id();
    assertThat(
            store.<List<PastMovement>>read(
                session -> session.pastMovements().undoneTogether(receipt)))
        .hasSize(1);
  }

  @Test
  void theDatabaseItselfRefusesToChangeOrDeleteAMovement() {
    assertThatThrownBy(() -> Stores.tamper(store, "UPDATE movement SET quantity_micro = 1"))
        .hasMessageContaining("movements are never changed");
    assertThatThrownBy(() -> Stores.tamper(store, "DELETE FROM movement WHERE id = 1"))
        .hasMessageContaining("movements are never deleted");
  }

  /** Even lines that no rule has seen cannot take the stock below zero. */
  @Test
  void theDatabaseItselfKeepsStockAboveZero() {
    Booking six =
        new Booking.Booked(
            List.of(
                new MovementLine(
                    MovementKind.ISSUE,
                    new LotInBin(FILTER, new LotId(8), new BinId(1)),
                    Quantity.pieces(-6),
                    new Money(-1, EUR),
                    new UnitPrice(0, EUR),
                    Optional.empty())));
    assertThatThrownBy(() -> book(stock -> six)).hasMessageContaining("CHECK constraint failed");
    assertThat(stock(FILTER).onHand()).isEqualTo(Quantity.pieces(5));
  }

  /** One request writes its lines once; the same key with the same line number is refused. */
  @Test
  void aRequestsLinesAreWrittenOnce() {
    book(stock -> Ledger.issue(stock, Quantity.pieces(1), NONE, TODAY));
    requests--;
    assertThatThrownBy(() -> book(stock -> Ledger.issue(stock, Quantity.pieces(1), NONE, TODAY)))
        .hasMessageContaining("UNIQUE");
    assertThat(stock(FILTER).onHand()).isEqualTo(Quantity.pieces(4));
  }

  /** Rules for a booking on the filter's stock. */
  private interface Rule {
    Booking on(ItemStock stock);
  }

  private void book(Rule rule) {
    store.write(
        session -> {
          write(session, rule.on(session.ledger().stockOf(FILTER)));
          return true;
        });
  }

  private void write(Session session, Booking booking) {
    String key = "test-key-" + ++requests;
    Instant at = Instant.parse("2027-03-15T08:00:00Z");
    session
        .requests()
        .add(key, new RequestLog.Entry("hash", ""), "storekeeper", RequestLog.Times.at(at));
    Posting posting = new Posting("why", "T-0001", key, "storekeeper", at);
    session.ledger().append(((Booking.Booked) booking).lines(), posting, 1);
  }

  private ItemStock stock(ItemId itemId) {
    return store.read(session -> session.ledger().stockOf(itemId));
  }

  private Optional<Quantity> usable(ItemId itemId, String day) {
    return Optional.ofNullable(
        store
            .read(session -> session.ledger().usable(LocalDate.parse(day)))
            .get(StockKey.ofNew(itemId)));
  }

  private Optional<Quantity> free() {
    return Optional.ofNullable(store.read(session -> session.ledger().free(TODAY)).get(FILTER));
  }

  /** Three used filters for 6.00 and one to recondition lie beside five new ones for 94.50. */
  @Test
  void eachConditionHasAWorthOfItsOwn() {
    keep(LotCondition.USED_GOOD, 3, 600);
    keep(LotCondition.TO_RECONDITION, 1, 0);
    assertThat(stock(FILTER).onHand()).isEqualTo(Quantity.pieces(5));
    assertThat(stock(FILTER).value()).isEqualTo(new Money(9_450, EUR));
    StockKey key = new StockKey(FILTER, LotCondition.USED_GOOD);
    ItemStock used = store.read(session -> session.ledger().stockOf(key));
    assertThat(used.onHand()).isEqualTo(Quantity.pieces(3));
    assertThat(used.average()).isEqualTo(new UnitPrice(2_000_000, EUR));
    Map<ItemId, UnitPrice> averages =
        store.read(session -> session.ledger().averages(List.of(FILTER)));
    assertThat(averages).containsEntry(FILTER, new UnitPrice(18_900_000, EUR));
    Map<StockKey, Quantity> free = store.read(session -> session.ledger().freeStock(TODAY));
    assertThat(free)
        .containsEntry(key, Quantity.pieces(3))
        .containsEntry(StockKey.ofNew(FILTER), Quantity.pieces(5))
        .doesNotContainKey(new StockKey(FILTER, LotCondition.TO_RECONDITION));
    assertThat(free()).contains(Quantity.pieces(5));
  }

  private void keep(LotCondition condition, int pieces, long cents) {
    store.write(
        session -> {
          LotId lot = session.lots().salvaged(FILTER, "WB-1", TODAY, condition);
          write(
              session,
              Ledger.salvage(
                  session.ledger().stockOf(new StockKey(FILTER, condition)),
                  new LotInBin(FILTER, lot, new BinId(1)),
                  Quantity.pieces(pieces),
                  new Money(cents, EUR)));
          return true;
        });
  }
}

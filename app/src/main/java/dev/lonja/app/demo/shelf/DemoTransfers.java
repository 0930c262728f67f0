package dev.lonja.app.demo.shelf;

import dev.lonja.app.demo.master.DemoMaster;
import dev.lonja.core.item.Item;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.transfer.TransferId;
import dev.lonja.core.transfer.TransferLine;
import dev.lonja.core.transfer.TransferState;
import dev.lonja.store.Session;
import java.time.Instant;
import java.time.LocalDate;

/**
 * What went from the main store to the satellite: one transfer came whole, of one a washer is
 * missing, and one is asked for.
 */
public final class DemoTransfers {

  private static final String KEEPER = "storekeeper";
  private static final String WASHER = "Cu 22×27×1.5";
  private static final String AIR_FILTER = "PL 6620-A";
  private static final String CAN = "FA 15-20";
  private static final int CAME_DAYS_AGO = 19;
  private static final int SENT_DAYS_AGO = 3;

  private final Session session;
  private final LocalDate today;
  private final DemoBookings bookings;
  private final Place cage;

  /**
   * @param bookings writes the movements
   */
  public DemoTransfers(Session session, LocalDate today, DemoBookings bookings) {
    this.session = session;
    this.today = today;
    this.bookings = bookings;
    this.cage = Place.of(session.places().satellites().keySet().iterator().next());
  }

  /** All three. */
  public void fill() {
    TransferId whole = sent(CAME_DAYS_AGO);
    line(whole, CAME_DAYS_AGO, AIR_FILTER, 1, 1, "Y-03");
    line(whole, CAME_DAYS_AGO, WASHER, 3, 3, "Y-04");
    session.transfers().end(whole, TransferState.CLOSED, at(CAME_DAYS_AGO));
    TransferId lacking = sent(SENT_DAYS_AGO);
    line(lacking, SENT_DAYS_AGO, WASHER, 2, 1, "Y-04");
    TransferId asked = session.transfers().add(Place.MAIN, cage, KEEPER, at(0));
    Item can = item(CAN);
    session.transfers().keep(asked, TransferLine.asked(can.id(), can.pack().orElseThrow()));
  }

  private TransferId sent(int daysAgo) {
    TransferId id = session.transfers().add(Place.MAIN, cage, KEEPER, at(daysAgo + 1));
    session.transfers().send(id, KEEPER, at(daysAgo));
    return id;
  }

  private void line(
      TransferId id, int daysAgo, String number, long picked, long came, String address) {
    Item item = item(number);
    Quantity there = Quantity.pieces(came);
    bookings.write(
        item.id(),
        Ledger.bring(
            session.placeStock().of(StockKey.ofNew(item.id()), Place.MAIN),
            there,
            Quantity.pieces(0),
            session.items().binByAddress(address).orElseThrow().id(),
            today),
        "",
        "TF-" + id,
        at(daysAgo));
    session
        .transfers()
        .keep(
            id,
            TransferLine.asked(item.id(), Quantity.pieces(picked))
                .picking(Quantity.pieces(picked))
                .receiving(there));
  }

  private Instant at(int daysAgo) {
    return DemoMaster.morning(today.minusDays(daysAgo));
  }

  private Item item(String number) {
    return session.items().byKey(PartKey.of(number).orElseThrow()).get(0);
  }
}

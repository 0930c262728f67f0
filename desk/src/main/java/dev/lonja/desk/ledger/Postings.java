package dev.lonja.desk.ledger;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.desk.request.Outcome;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.Posting;
import java.util.Optional;

/** The one place where lines of the ledger are written. */
public final class Postings {

  private Postings() {}

  /**
   * Writes the lines of a booking, or answers why there are none.
   *
   * @param firstLineNo of the posting, where several bookings share one
   */
  public static Outcome write(
      Session session, ItemId itemId, Booking booking, Posting posting, int firstLineNo) {
    Item item = session.items().byId(itemId).orElseThrow();
    if (booking instanceof Booking.Booked booked) {
      Optional<LedgerRefusal> frozen = Freeze.refusal(session, item, booked.lines());
      if (frozen.isPresent()) {
        return Outcome.refused(frozen.get());
      }
      session.ledger().append(booked.lines(), posting, firstLineNo);
      return Outcome.done();
    }
    return new Outcome.Refused(
        ((Booking.Refused) booking)
            .reasons().stream().map(reason -> new LedgerRefusal(item, reason)).toList());
  }
}

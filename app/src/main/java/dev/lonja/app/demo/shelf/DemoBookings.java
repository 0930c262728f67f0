package dev.lonja.app.demo.shelf;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.Posting;
import dev.lonja.store.request.RequestLog;
import java.time.Instant;
import java.util.List;

/** Writes the demo's bookings, each as a request of its own. */
public final class DemoBookings {

  private final Session session;
  private int requests;

  public DemoBookings(Session session) {
    this.session = session;
  }

  /**
   * Writes what was booked.
   *
   * @param reference what it belongs to; empty if it is nothing
   * @return the numbers of the movements
   */
  public List<Long> write(
      ItemId itemId, Booking booking, String reason, String reference, Instant at) {
    if (!(booking instanceof Booking.Booked booked)) {
      throw new IllegalStateException(
          "the demo's booking of item " + itemId + " was refused: " + booking);
    }
    String key = String.format("demo-%05d", ++requests);
    session
        .requests()
        .add(
            key,
            new RequestLog.Entry(RequestLog.hash(reason), ""),
            "storekeeper",
            RequestLog.Times.at(at));
    Posting posting = new Posting(reason, reference, key, "storekeeper", at);
    return session.ledger().append(booked.lines(), posting, 1);
  }
}

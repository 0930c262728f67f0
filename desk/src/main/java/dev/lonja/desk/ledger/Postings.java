package dev.lonja.desk.ledger;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.MovementKind;
import dev.lonja.core.ledger.MovementLine;
import dev.lonja.core.ledger.Refusal;
import dev.lonja.core.place.BinId;
import dev.lonja.core.place.Place;
import dev.lonja.desk.person.WorkPlaces;
import dev.lonja.desk.request.Outcome;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.Posting;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

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
      Optional<LedgerRefusal> refused =
          Freeze.refusal(session, item, booked.lines())
              .or(() -> notTheirPlace(session, item, booked.lines(), posting.actor()));
      if (refused.isPresent()) {
        return Outcome.refused(refused.get());
      }
      session.ledger().append(booked.lines(), posting, firstLineNo);
      return Outcome.done();
    }
    return new Outcome.Refused(
        ((Booking.Refused) booking)
            .reasons().stream().map(reason -> new LedgerRefusal(item, reason)).toList());
  }

  /** A transfer has two places; whoever brings it works at one of them. */
  private static Optional<LedgerRefusal> notTheirPlace(
      Session session, Item item, List<MovementLine> lines, String actor) {
    Optional<Set<Place>> theirs = WorkPlaces.of(session, actor);
    if (theirs.isEmpty()) {
      return Optional.empty();
    }
    Map<BinId, Place> places = session.places().ofBins();
    return lines.stream()
        .filter(line -> line.kind() != MovementKind.TRANSFER)
        .map(line -> places.get(line.place().binId()))
        .filter(place -> !theirs.get().contains(place))
        .findFirst()
        .map(
            place ->
                new LedgerRefusal(
                    item, new Refusal.NotTheirPlace(actor, session.places().names().get(place))));
  }
}

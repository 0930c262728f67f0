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
    if (booking instanceof Booking.Booked booked) {
      Optional<Refusal> refusal =
          Freeze.refusal(session, booked.lines())
              .or(() -> notTheirPlace(session, booked.lines(), posting.actor()));
      if (refusal.isPresent()) {
        return refused(session, itemId, List.of(refusal.get()));
      }
      session.ledger().append(booked.lines(), posting, firstLineNo);
      return Outcome.done();
    }
    return refused(session, itemId, ((Booking.Refused) booking).reasons());
  }

  private static Outcome refused(Session session, ItemId itemId, List<Refusal> reasons) {
    Item item = session.items().byId(itemId).orElseThrow();
    return new Outcome.Refused(
        reasons.stream().map(reason -> new LedgerRefusal(item, reason)).toList());
  }

  /** A transfer has two places; whoever brings it works at one of them. */
  private static Optional<Refusal> notTheirPlace(
      Session session, List<MovementLine> lines, String actor) {
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
        .map(place -> new Refusal.NotTheirPlace(actor, session.places().names().get(place)));
  }
}

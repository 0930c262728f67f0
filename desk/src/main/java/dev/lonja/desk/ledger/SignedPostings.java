package dev.lonja.desk.ledger;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.MovementLine;
import dev.lonja.core.quantity.Money;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.SecondPerson;
import dev.lonja.desk.person.SecondRefusal;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.ledger.Posting;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Writes what changes the worth of the stock by a person's word, signed by a second if need be. */
@Component
public class SignedPostings {

  private final SecondPerson second;
  private final StoreClock clock;

  public SignedPostings(SecondPerson second, StoreClock clock) {
    this.second = second;
    this.clock = clock;
  }

  /** Writes the lines of a booking, or answers why there are none. */
  public Outcome write(
      Session session,
      ItemId itemId,
      Booking booking,
      Sent sent,
      String reason,
      SecondPerson.Signature signature) {
    return write(
        session,
        itemId,
        booking,
        sent,
        new Posting(reason, "", sent.key(), sent.actor(), clock.now()),
        signature);
  }

  /** The same with something that its lines refer to. */
  public Outcome write(
      Session session,
      ItemId itemId,
      Booking booking,
      Sent sent,
      Posting posting,
      SecondPerson.Signature signature) {
    Optional<SecondRefusal> refusal =
        booking instanceof Booking.Booked booked
            ? booked.lines().stream()
                .map(MovementLine::value)
                .reduce(Money::plus)
                .flatMap(
                    value -> second.refusal(session, sent, value, Matter.ITEM, itemId, signature))
            : Optional.empty();
    return refusal
        .<Outcome>map(Outcome::refused)
        .orElseGet(() -> Postings.write(session, itemId, booking, posting, 1));
  }
}

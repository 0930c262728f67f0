package dev.lonja.desk.count;

import dev.lonja.core.count.CountVerdict;
import dev.lonja.core.count.Spot;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.Levelling;
import dev.lonja.core.ledger.MovementLine;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.person.Role;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.ledger.SignedPostings;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.person.SecondPerson;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.count.CountRepository;
import dev.lonja.store.count.CountRepository.State;
import java.math.BigDecimal;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Takes counts: what agrees is noted, what differs is booked, and much is counted again first. */
@Service
@Allowed.ToKeepStore
public class CountKeepDesk extends KeepersDesk {

  private final OnceOnly once;
  private final StoreClock clock;
  private final SignedPostings signed;

  CountKeepDesk(OnceOnly once, StoreClock clock, SignedPostings signed) {
    this.once = once;
    this.clock = clock;
    this.signed = signed;
  }

  /**
   * What somebody counted.
   *
   * @param counted new ones of all lots in the bin, in the item's measure
   * @param stamp as the list had it
   * @param why it differs; empty if nothing was said
   */
  public record Entry(BigDecimal counted, long stamp, String why) {}

  /** Takes a count of an item in a bin. */
  @Allowed.ToKeepStore
  public Outcome count(Sent sent, Spot spot, Entry entry, SecondPerson.Signature signature) {
    return once.run(sent, session -> count(session, sent, spot, entry, signature));
  }

  private Outcome count(
      Session session, Sent sent, Spot spot, Entry entry, SecondPerson.Signature signature) {
    Optional<Quantity> there = Optional.ofNullable(session.counts().book().get(spot));
    if (there.isEmpty()) {
      return Outcome.refused(new CountRefusal.NothingThere());
    }
    Quantity book = there.get();
    Quantity counted = Quantity.of(book.measure(), entry.counted());
    if (!counted.isCountable()) {
      return Outcome.refused(new CountRefusal.NotWhole(counted));
    }
    if (session.counts().stamp(spot) != entry.stamp()) {
      return Outcome.refused(new CountRefusal.MovedMeanwhile());
    }
    Optional<CountRepository.First> first =
        Optional.ofNullable(session.counts().firsts().get(spot));
    if (first.filter(one -> one.actor().equals(sent.actor())).isPresent()
        && isAnotherThere(session, sent)) {
      return Outcome.refused(new CountRefusal.SamePerson());
    }
    Taken taken = new Taken(session, sent, spot, counted, book, first);
    if (counted.equals(book)) {
      return note(taken, State.AGREED, "");
    }
    return differs(taken, entry, signature);
  }

  private static boolean isAnotherThere(Session session, Sent sent) {
    return session.people().all().stream()
        .filter(person -> person.active())
        .filter(
            person ->
                person.roles().contains(Role.STOREKEEPER)
                    || person.roles().contains(Role.ADMINISTRATOR))
        .anyMatch(person -> !person.name().text().equals(sent.actor()));
  }

  private Outcome differs(Taken taken, Entry entry, SecondPerson.Signature signature) {
    ItemStock stock = taken.session().ledger().stockOf(StockKey.ofNew(taken.spot().item()));
    Booking booking =
        Levelling.of(
            stock, taken.spot().bin(), taken.counted().minus(taken.book()), Levelling.As.COUNT);
    if (booking instanceof Booking.Booked booked) {
      Money worth =
          booked.lines().stream()
              .map(MovementLine::value)
              .reduce(Money.zero(stock.value().currency()), Money::plus);
      CountVerdict verdict = CountVerdict.of(taken.counted(), taken.book(), worth);
      if (verdict == CountVerdict.COUNT_AGAIN && taken.first().isEmpty()) {
        return note(taken, State.FIRST, entry.why());
      }
    }
    if (entry.why().isBlank()) {
      return Outcome.refused(new CountRefusal.NeedsReason(taken.counted(), taken.book()));
    }
    Outcome done =
        signed.write(
            taken.session(), taken.spot().item(), booking, taken.sent(), entry.why(), signature);
    return done instanceof Outcome.Done ? note(taken, State.BOOKED, entry.why()) : done;
  }

  private Outcome note(Taken taken, State state, String why) {
    taken.first().ifPresent(one -> taken.session().counts().overrule(one.id()));
    taken
        .session()
        .counts()
        .add(
            taken.spot(),
            taken.counted(),
            taken.book(),
            state,
            why,
            taken.sent().actor(),
            clock.now());
    return Outcome.done();
  }

  /** A count that was taken. */
  private record Taken(
      Session session,
      Sent sent,
      Spot spot,
      Quantity counted,
      Quantity book,
      Optional<CountRepository.First> first) {}
}

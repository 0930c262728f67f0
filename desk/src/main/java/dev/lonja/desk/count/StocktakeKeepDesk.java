package dev.lonja.desk.count;

import dev.lonja.core.count.CountId;
import dev.lonja.core.count.Stocktake;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.Levelling;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.quantity.Money;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.ledger.Postings;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.person.SecondPerson;
import dev.lonja.desk.person.SecondRefusal;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.count.CountRepository.Count;
import dev.lonja.store.count.CountRepository.State;
import dev.lonja.store.count.CountRepository.Stored;
import dev.lonja.store.ledger.Posting;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Begins and ends counts of all bins; while one is open nothing moves. */
@Service
@Allowed.ToKeepStore
public class StocktakeKeepDesk extends KeepersDesk {

  private final OnceOnly once;
  private final StoreClock clock;
  private final SecondPerson second;

  StocktakeKeepDesk(OnceOnly once, StoreClock clock, SecondPerson second) {
    this.once = once;
    this.clock = clock;
    this.second = second;
  }

  /** From now on nothing moves. */
  @Allowed.ToKeepStore
  public Outcome begin(Sent sent) {
    return once.run(
        sent,
        session -> {
          if (session.stocktakes().open().isPresent()) {
            return Outcome.refused(new CountRefusal.StocktakeOpen());
          }
          session.stocktakes().begin(sent.actor(), clock.now());
          return Outcome.done();
        });
  }

  /** A difference is counted once more: its count counts no longer. */
  @Allowed.ToKeepStore
  public Outcome again(Sent sent, CountId id) {
    return once.run(
        sent,
        session -> {
          Optional<Stocktake> open = session.stocktakes().open();
          Optional<Stored> count =
              session
                  .counts()
                  .byId(id)
                  .filter(one -> one.count().state() == State.DIFFERS)
                  .filter(one -> one.count().stocktake().equals(open.map(Stocktake::id)));
          if (count.isEmpty()) {
            return Outcome.refused(new CountRefusal.NotOpen());
          }
          session.counts().setState(id, State.OVERRULED);
          return Outcome.done();
        });
  }

  /** Books all that differs, in one posting, once nothing is left to be counted. */
  @Allowed.ToKeepStore
  public Outcome book(Sent sent, SecondPerson.Signature signature) {
    return once.run(sent, session -> book(session, sent, signature));
  }

  private Outcome book(Session session, Sent sent, SecondPerson.Signature signature) {
    Optional<Stocktake> stocktake = session.stocktakes().open();
    if (stocktake.isEmpty()) {
      return Outcome.refused(new CountRefusal.NoStocktake());
    }
    StocktakeDesk.Open open = StocktakeDesk.open(session, stocktake.get(), clock.today());
    if (open.binsLeft() > 0) {
      return Outcome.refused(new CountRefusal.BinsLeft(open.binsLeft()));
    }
    // what is missing here and too much there is no small thing because it adds up to nothing
    Optional<SecondRefusal> unsigned =
        open.differences().stream()
            .map(difference -> difference.worth().abs())
            .reduce(Money::plus)
            .flatMap(
                worth ->
                    second.refusal(
                        session, sent, worth, Matter.STORE, open.stocktake().id(), signature));
    if (unsigned.isPresent()) {
      return Outcome.refused(unsigned.get());
    }
    int line = 1;
    for (StocktakeDesk.Difference difference : open.differences()) {
      Booking booking = booking(session, difference);
      Outcome done =
          Postings.write(
              session, difference.item().id(), booking, posting(sent, open, difference), line);
      if (done instanceof Outcome.Refused) {
        return done;
      }
      line += ((Booking.Booked) booking).lines().size();
      session.counts().setState(difference.count().id(), State.BOOKED);
    }
    end(session, sent, stocktake.get(), Stocktake.How.BOOKED);
    return Outcome.done();
  }

  private static Booking booking(Session session, StocktakeDesk.Difference difference) {
    Count count = difference.count().count();
    return Levelling.of(
        session.ledger().stockOf(StockKey.ofNew(count.spot().item())),
        count.spot().bin(),
        difference.change(),
        Levelling.As.COUNT,
        session.lots().latestNew(count.spot().item()));
  }

  private Posting posting(Sent sent, StocktakeDesk.Open open, StocktakeDesk.Difference difference) {
    return new Posting(
        difference.count().count().why(),
        open.stocktake().id().number(),
        sent.key(),
        sent.actor(),
        clock.now());
  }

  /** Nothing is booked; what agreed was counted all the same. */
  @Allowed.ToKeepStore
  public Outcome giveUp(Sent sent) {
    return once.run(
        sent,
        session -> {
          Optional<Stocktake> open = session.stocktakes().open();
          if (open.isEmpty()) {
            return Outcome.refused(new CountRefusal.NoStocktake());
          }
          session.counts().of(open.get().id()).stream()
              .filter(count -> count.count().state() != State.AGREED)
              .filter(count -> count.count().state() != State.OVERRULED)
              .forEach(count -> session.counts().setState(count.id(), State.DROPPED));
          end(session, sent, open.get(), Stocktake.How.GIVEN_UP);
          return Outcome.done();
        });
  }

  private void end(Session session, Sent sent, Stocktake stocktake, Stocktake.How how) {
    session.stocktakes().end(stocktake.id(), new Stocktake.End(how, sent.actor(), clock.now()));
  }
}

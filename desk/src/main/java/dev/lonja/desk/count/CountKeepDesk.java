package dev.lonja.desk.count;

import dev.lonja.core.count.CountVerdict;
import dev.lonja.core.count.Spot;
import dev.lonja.core.count.Stocktake;
import dev.lonja.core.count.StocktakeId;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.Levelling;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.MovementLine;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.find.ScannedItems;
import dev.lonja.desk.ledger.SignedPostings;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.person.SecondPerson;
import dev.lonja.desk.person.WorkPlaces;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.count.CountRepository.Count;
import dev.lonja.store.count.CountRepository.State;
import dev.lonja.store.count.CountRepository.Stored;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
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
   * What somebody counted of one thing.
   *
   * @param counted new ones of all lots in the bin, in the item's measure
   * @param stamp as the list had it
   * @param why it differs; empty if nothing was said
   */
  public record Figure(ItemId item, BigDecimal counted, String stamp, String why) {}

  /**
   * What lay there and was not to.
   *
   * @param number as typed or scanned
   */
  public record Found(String number, BigDecimal counted, String why) {}

  /** What somebody counted in a bin; what has no figure stays on the list. */
  public record Figures(List<Figure> rows, Optional<Found> found) {
    public Figures {
      rows = List.copyOf(rows);
    }
  }

  /** Takes what was counted in a bin, all of it or nothing. */
  @Allowed.ToKeepStore
  public Outcome count(Sent sent, BinId bin, Figures figures, SecondPerson.Signature signature) {
    return once.run(
        sent,
        session -> {
          List<Refusal> reasons = new ArrayList<>();
          session.items().bins().stream()
              .filter(one -> one.id().equals(bin))
              .findFirst()
              .flatMap(one -> WorkPlaces.refusal(session, sent, one.place()))
              .ifPresent(reasons::add);
          Bin at =
              new Bin(
                  session,
                  sent,
                  bin,
                  BinBook.load(session, clock.today()),
                  session.counts().firsts(),
                  session.stocktakes().open().map(Stocktake::id),
                  counted(session),
                  signature);
          for (Figure figure : figures.rows()) {
            refused(row(at, figure), reasons);
          }
          figures.found().ifPresent(found -> refused(found(at, found), reasons));
          if (figures.rows().isEmpty() && figures.found().isEmpty()) {
            reasons.add(new CountRefusal.NothingCounted());
          }
          return reasons.isEmpty() ? Outcome.done() : new Outcome.Refused(reasons);
        });
  }

  /** What is counted to an end of the open stocktake: twice it would be booked twice. */
  private static Set<Spot> counted(Session session) {
    return session.stocktakes().open().stream()
        .flatMap(open -> session.counts().of(open.id()).stream())
        .filter(stored -> stored.count().state().isFinal())
        .map(stored -> stored.count().spot())
        .collect(Collectors.toSet());
  }

  private static void refused(Outcome outcome, List<Refusal> reasons) {
    if (outcome instanceof Outcome.Refused refused) {
      reasons.addAll(refused.reasons());
    }
  }

  /** A bin that is counted, with what is known of all. */
  private record Bin(
      Session session,
      Sent sent,
      BinId id,
      BinBook book,
      Map<Spot, Stored> firsts,
      Optional<StocktakeId> stocktake,
      Set<Spot> counted,
      SecondPerson.Signature signature) {}

  private Outcome row(Bin at, Figure figure) {
    Spot spot = new Spot(figure.item(), at.id());
    Optional<Quantity> book = at.book().of(spot);
    if (book.isEmpty()) {
      return Outcome.refused(new CountRefusal.NothingThere(spot.item()));
    }
    if (!at.book().stamp(spot).equals(figure.stamp())) {
      return Outcome.refused(new CountRefusal.MovedMeanwhile(spot.item()));
    }
    return taken(at, spot, book.get(), figure.counted(), figure.why());
  }

  private Outcome found(Bin at, Found found) {
    List<Item> items = ScannedItems.of(at.session(), found.number());
    if (items.size() != 1) {
      return Outcome.refused(
          items.isEmpty()
              ? new CountRefusal.UnknownNumber(found.number())
              : new CountRefusal.SeveralOfNumber(found.number(), items));
    }
    Item item = items.get(0);
    Spot spot = new Spot(item.id(), at.id());
    if (at.book().of(spot).isPresent()) {
      return Outcome.refused(new CountRefusal.OnTheList(item));
    }
    return taken(at, spot, Quantity.zero(item.measure()), found.counted(), found.why());
  }

  private Outcome taken(Bin at, Spot spot, Quantity book, BigDecimal figure, String why) {
    if (at.counted().contains(spot)) {
      return Outcome.refused(new CountRefusal.CountedAlready(spot.item()));
    }
    Quantity counted = Quantity.of(book.measure(), figure);
    if (!counted.isCountable()) {
      return Outcome.refused(new CountRefusal.NotWhole(spot.item(), counted));
    }
    Optional<Stored> first = Optional.ofNullable(at.firsts().get(spot));
    if (first.filter(one -> one.count().actor().equals(at.sent().actor())).isPresent()
        && OtherCounters.are(at.session(), at.sent().actor())) {
      return Outcome.refused(new CountRefusal.SamePerson(spot.item()));
    }
    Taken taken = new Taken(at, spot, counted, book, first, why);
    return counted.equals(book) ? note(taken, State.AGREED) : differs(taken);
  }

  /** A count that was taken. */
  private record Taken(
      Bin at, Spot spot, Quantity counted, Quantity book, Optional<Stored> first, String why) {}

  private Outcome differs(Taken taken) {
    Session session = taken.at().session();
    ItemId item = taken.spot().item();
    ItemStock stock = session.ledger().stockOf(StockKey.ofNew(item));
    Optional<LotId> lot = session.lots().latestNew(item);
    Quantity change = taken.counted().minus(taken.book());
    if (lot.isEmpty() && change.isPositive()) {
      return Outcome.refused(
          new CountRefusal.NeverReceived(session.items().byId(item).orElseThrow()));
    }
    Booking booking = Levelling.of(stock, taken.spot().bin(), change, Levelling.As.COUNT, lot);
    Money worth = worth(booking, stock);
    if (CountVerdict.of(taken.counted(), taken.book(), worth) == CountVerdict.COUNT_AGAIN
        && taken.first().isEmpty()) {
      return note(taken, State.FIRST);
    }
    if (taken.why().isBlank()) {
      long last = session.counts().stamp(taken.spot());
      return Outcome.refused(
          new CountRefusal.NeedsReason(
              item,
              taken.counted(),
              taken.book(),
              worth,
              last == 0 ? Optional.empty() : session.ledger().line(last)));
    }
    if (taken.at().stocktake().isPresent() && booking instanceof Booking.Booked) {
      return note(taken, State.DIFFERS);
    }
    Outcome done =
        signed.write(
            session, item, booking, taken.at().sent(), taken.why(), taken.at().signature());
    return done instanceof Outcome.Done ? note(taken, State.BOOKED) : done;
  }

  private static Money worth(Booking booking, ItemStock stock) {
    return booking instanceof Booking.Booked booked
        ? booked.lines().stream()
            .map(MovementLine::value)
            .reduce(Money.zero(stock.value().currency()), Money::plus)
        : Money.zero(stock.value().currency());
  }

  private Outcome note(Taken taken, State state) {
    Session session = taken.at().session();
    taken.first().ifPresent(one -> session.counts().setState(one.id(), State.OVERRULED));
    session
        .counts()
        .add(
            new Count(
                taken.spot(),
                taken.counted(),
                taken.book(),
                state,
                state == State.AGREED ? "" : taken.why(),
                taken.at().sent().actor(),
                clock.now(),
                taken.at().stocktake()));
    return Outcome.done();
  }
}

package dev.lonja.desk.tray;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.MovementLine;
import dev.lonja.core.ledger.PastMovement;
import dev.lonja.core.ledger.ReturnOfIssue;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.find.ScannedItems;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.ledger.PackedReturn;
import dev.lonja.desk.ledger.Postings;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.person.Receiver;
import dev.lonja.desk.person.SecondPerson;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.RequestRefusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.ledger.Posting;
import dev.lonja.store.tray.Tray;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.stereotype.Service;

/**
 * Hands trays over, takes unused parts back and undoes a hand-over. Handing over issues every line
 * and notes the meters, all in one transaction; what was done is known when the job is back.
 */
@Service
@Allowed.ToKeepStore
public class HandOverDesk extends KeepersDesk {

  private final LonjaStore store;
  private final OnceOnly once;
  private final StoreClock clock;
  private final Receiver receiver;
  private final SecondPerson second;

  public HandOverDesk(
      LonjaStore store, OnceOnly once, StoreClock clock, Receiver receiver, SecondPerson second) {
    this.store = store;
    this.once = once;
    this.clock = clock;
    this.receiver = receiver;
    this.second = second;
  }

  /**
   * Who takes a tray.
   *
   * @param who their name, or what their badge says
   * @param pin by which they sign; empty if they do not
   */
  public record Taker(String who, String pin) {}

  /**
   * The meters that are read when a tray is handed over.
   *
   * @param needed true if a task counts by them, so that they have to be read
   */
  public record Meters(List<MeterStanding> all, boolean needed) {}

  /** Empty for a tray that is not open. */
  public Optional<Meters> meters(TrayId trayId) {
    return store.read(
        session ->
            session
                .trays()
                .byId(trayId)
                .filter(Tray::isOpen)
                .map(
                    tray -> {
                      TrayMachine machine =
                          TrayMachine.of(FleetPicture.load(session, clock.today()), tray);
                      return new Meters(machine.meters(), machine.countsByMeters());
                    }));
  }

  /**
   * Hands a tray over.
   *
   * @param version of the tray when the form was shown
   * @param to who takes it
   * @param meters what each of {@link #meters} shows
   */
  @Allowed.ToKeepStore
  public Outcome handOver(
      Sent sent, TrayId trayId, long version, Taker to, Map<MeterId, MeterValue> meters) {
    return once.run(
        sent,
        session ->
            session
                .trays()
                .byId(trayId)
                .filter(Tray::isOpen)
                .map(tray -> handOver(session, sent, tray, version, to, meters))
                .orElseGet(() -> Outcome.refused(new TrayRefusal.NotOpen())));
  }

  private Outcome handOver(
      Session session,
      Sent sent,
      Tray tray,
      long version,
      Taker to,
      Map<MeterId, MeterValue> meters) {
    Optional<Receiver.Known> known = receiver.read(session, to.who(), to.pin());
    if (known.isEmpty()) {
      return Outcome.refused(new TrayRefusal.NotTheirPin(to.who()));
    }
    if (known.get().signed()) {
      session
          .audit()
          .add(
              sent.line(
                  clock.now(),
                  Matter.TRAY,
                  tray.number(),
                  Deed.SIGNED,
                  Facts.NONE,
                  Facts.of("taken_by", known.get().name())));
    }
    return new HandOver(session, clock, sent, tray).run(version, known.get().name(), meters);
  }

  /**
   * Takes part of what went out with the tray back, in the condition in which it went. What is left
   * in a pack that went out sealed comes back as an open container.
   *
   * @param amount in the item's measure
   * @param container the movement by which it went out, where somebody said which container it is;
   *     else it goes to the lots last picked first
   */
  @Allowed.ToKeepStore
  public Outcome takeBack(
      Sent sent, TrayId trayId, StockKey key, BigDecimal amount, Optional<Long> container) {
    return once.run(
        sent,
        session -> {
          Tray tray = session.trays().byId(trayId).orElseThrow();
          List<PastMovement> all =
              session.pastMovements().issuesOf(tray.number()).getOrDefault(key, List.of());
          List<PastMovement> issued =
              all.stream()
                  .filter(issue -> container.isEmpty() || container.get() == issue.id())
                  .toList();
          if (issued.isEmpty()) {
            return Outcome.refused(new TrayRefusal.NoSuchContainer());
          }
          ReturnOfIssue back =
              new ReturnOfIssue(issued, Quantity.of(issued.get(0).quantity().measure(), amount));
          Optional<TrayRefusal> added = wasAdded(session, tray, all, back.quantity());
          if (added.isPresent()) {
            return Outcome.refused(added.get());
          }
          LocalDate openedOn = tray.handedOverOn().orElse(clock.today());
          return Postings.write(
              session,
              key.itemId(),
              PackedReturn.of(session, key, back, openedOn),
              posting(tray, sent, "unused, came back"),
              1);
        });
  }

  /** What was added to the machine does not come back. */
  private static Optional<TrayRefusal> wasAdded(
      Session session, Tray tray, List<PastMovement> issued, Quantity back) {
    ItemId item = issued.get(0).key().itemId();
    Volume added = session.pours().addedWith(tray.id(), item);
    if (added.equals(Volume.ZERO)) {
      return Optional.empty();
    }
    Quantity left =
        issued.stream()
            .map(PastMovement::stillOut)
            .reduce(Quantity.of(added).negated(), Quantity::plus)
            .atLeastZero();
    return back.compareTo(left) > 0
        ? Optional.of(new TrayRefusal.WasAdded(added, left))
        : Optional.empty();
  }

  /** Takes one piece back of an item that went out with the tray, by a scanned or typed number. */
  @Allowed.ToKeepStore
  public Outcome scanBack(Sent sent, TrayId trayId, String code) {
    return once.run(
        sent,
        session ->
            session
                .trays()
                .byId(trayId)
                .filter(tray -> tray.handedOverOn().isPresent())
                .map(tray -> scanBack(session, sent, tray, code))
                .orElseGet(() -> Outcome.refused(new TrayRefusal.NotHandedOver())));
  }

  private Outcome scanBack(Session session, Sent sent, Tray tray, String code) {
    List<Item> items = ScannedItems.of(session, code);
    if (items.isEmpty()) {
      return Outcome.refused(new TrayRefusal.UnknownNumber(code.strip()));
    }
    Map<StockKey, List<PastMovement>> out = stillOut(session, tray);
    // of several makes of one number only what went out can come back
    List<Item> back =
        items.stream()
            .filter(item -> out.keySet().stream().anyMatch(k -> k.itemId().equals(item.id())))
            .toList();
    if (back.size() > 1) {
      return Outcome.refused(new TrayRefusal.SeveralMakes(code.strip(), back));
    }
    if (back.isEmpty()) {
      return Outcome.refused(new TrayRefusal.NotOut(items.get(0)));
    }
    Item item = back.get(0);
    if (item.measure() != Measure.PIECES) {
      return Outcome.refused(new TrayRefusal.HowMuch(item));
    }
    List<StockKey> keys =
        out.keySet().stream().filter(key -> key.itemId().equals(item.id())).toList();
    if (keys.size() > 1) {
      return Outcome.refused(new TrayRefusal.NewOrUsed(item));
    }
    Booking booking =
        Ledger.takeBack(
            session.ledger().stockOf(keys.get(0)), out.get(keys.get(0)), Quantity.pieces(1));
    return Postings.write(session, item.id(), booking, posting(tray, sent, "unused, came back"), 1);
  }

  private static Map<StockKey, List<PastMovement>> stillOut(Session session, Tray tray) {
    Map<StockKey, List<PastMovement>> out =
        new TreeMap<>(session.pastMovements().issuesOf(tray.number()));
    out.values().removeIf(issues -> issues.stream().allMatch(i -> i.stillOut().isZero()));
    return out;
  }

  /**
   * Undoes a hand-over by correcting movements; the tray is open again with nothing laid.
   *
   * @param signature of a second person, where what comes back is worth more than one may put right
   */
  @Allowed.ToKeepStore
  public Outcome undo(
      Sent sent, TrayId trayId, long version, String reason, SecondPerson.Signature signature) {
    return once.run(
        sent,
        session -> {
          Tray tray = session.trays().byId(trayId).orElseThrow();
          if (tray.state() == Tray.State.BACK) {
            return Outcome.refused(new TrayRefusal.IsBack());
          }
          Optional<String> elsewhere = session.wanted().broughtBy(trayId);
          if (elsewhere.isPresent()) {
            return Outcome.refused(new TrayRefusal.OnAnotherTray(elsewhere.get()));
          }
          if (tray.state() != Tray.State.HANDED_OVER || !session.trays().reopen(trayId, version)) {
            return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
          }
          return undo(session, sent, tray, reason, signature);
        });
  }

  private Outcome undo(
      Session session, Sent sent, Tray tray, String reason, SecondPerson.Signature signature) {
    session.trayLines().unlayAll(tray.id());
    session.wanted().strikeLeftOutOf(tray.id());
    Posting posting = posting(tray, sent, reason);
    int lineNo = 1;
    Money value = Money.zero(session.settings().currency());
    for (Map.Entry<StockKey, List<PastMovement>> issues : stillOut(session, tray).entrySet()) {
      for (PastMovement issue : issues.getValue()) {
        if (issue.stillOut().isZero()) {
          continue;
        }
        Booking booking = putBack(session.ledger().stockOf(issues.getKey()), issue);
        Outcome written =
            Postings.write(session, issues.getKey().itemId(), booking, posting, lineNo++);
        if (written instanceof Outcome.Refused) {
          return written;
        }
        value =
            ((Booking.Booked) booking)
                .lines().stream().map(MovementLine::value).reduce(value, Money::plus);
      }
    }
    session
        .audit()
        .add(
            sent.line(
                clock.now(),
                Matter.TRAY,
                tray.number(),
                Deed.CORRECTED,
                Facts.NONE,
                Facts.of("reason", reason).with("value", value.exactText())));
    return second
        .refusal(session, sent, value, Matter.TRAY, tray.number(), signature)
        .<Outcome>map(Outcome::refused)
        .orElseGet(Outcome::done);
  }

  /** An issue of which part came back already cannot be corrected; the rest of it comes back. */
  private static Booking putBack(ItemStock stock, PastMovement issue) {
    return issue.answeredQuantity().isZero()
        ? Ledger.correct(stock, List.of(issue))
        : Ledger.takeBack(stock, List.of(issue), issue.stillOut());
  }

  private Posting posting(Tray tray, Sent sent, String reason) {
    return new Posting(reason, tray.number(), sent.key(), sent.actor(), clock.now());
  }
}

package dev.lonja.desk.tray;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.Destination;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.tank.DispenserStand;
import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.core.wanted.WantedPart;
import dev.lonja.core.wanted.WantedPartId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.find.ScannedItems;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.person.Receiver;
import dev.lonja.desk.person.WorkPlaces;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.tank.Dispensing;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import org.springframework.stereotype.Service;

/** Lays trays, line by line. What is laid is held, not yet issued. */
@Service
@Allowed.ToKeepStore
public class TrayDesk extends KeepersDesk {

  private final OnceOnly once;
  private final StoreClock clock;
  private final Receiver receiver;

  public TrayDesk(OnceOnly once, StoreClock clock, Receiver receiver) {
    this.once = once;
    this.clock = clock;
    this.receiver = receiver;
  }

  /** Lays what is missing on a line. */
  @Allowed.ToKeepStore
  public Outcome lay(Sent sent, TrayId trayId, long lineId) {
    return onLine(
        sent,
        trayId,
        lineId,
        (session, tray, line) -> layMore(session, tray, line, line.missing()));
  }

  /** Takes what is laid on a line back off. */
  @Allowed.ToKeepStore
  public Outcome takeOff(Sent sent, TrayId trayId, long lineId) {
    return onLine(
        sent,
        trayId,
        lineId,
        (session, tray, line) -> {
          session.trayLines().setLaid(lineId, Quantity.zero(line.wanted().measure()));
          // a used one was taken by somebody's word, which goes with it
          session.trayLines().setCondition(lineId, LotCondition.NEW);
          return Outcome.done();
        });
  }

  /**
   * Lays used, good pieces for what a line lacks, as far as they are free. What is laid new stays;
   * what is laid used is a line of its own.
   */
  @Allowed.ToKeepStore
  public Outcome layUsed(Sent sent, TrayId trayId, long lineId) {
    return onLine(sent, trayId, lineId, (session, tray, line) -> layUsed(session, tray, line));
  }

  private Outcome layUsed(Session session, Tray tray, TrayLine line) {
    Item item = session.items().byId(line.itemId()).orElseThrow();
    Quantity more = UsedParts.forLine(line, session.placeStock().free(clock.today(), tray.place()));
    if (!more.isPositive()) {
      return Outcome.refused(new TrayRefusal.NoUsed(item));
    }
    boolean whole = more.equals(line.wanted());
    if (!whole && line.reason() instanceof LineReason.Wanted) {
      return Outcome.refused(new TrayRefusal.AllOrNone(item));
    }
    long of = whole ? line.id() : session.trayLines().splitOff(line, more);
    session.trayLines().setCondition(of, LotCondition.USED_GOOD);
    session.trayLines().setLaid(of, more);
    return Outcome.done();
  }

  /**
   * Leaves out what is not laid of a line. It stays visible, and the task that asks for it stands
   * at not done.
   */
  @Allowed.ToKeepStore
  public Outcome leaveOut(Sent sent, TrayId trayId, long lineId, String why) {
    return onLine(
        sent,
        trayId,
        lineId,
        (session, tray, line) -> {
          session.trayLines().setLeftOut(lineId, Optional.of(why));
          return Outcome.done();
        });
  }

  /** Asks again for what was left out of a line. */
  @Allowed.ToKeepStore
  public Outcome wantAgain(Sent sent, TrayId trayId, long lineId) {
    return onLine(
        sent,
        trayId,
        lineId,
        (session, tray, line) -> {
          session.trayLines().setLeftOut(lineId, Optional.empty());
          return Outcome.done();
        });
  }

  /**
   * Lays by a scanned or typed number: one piece, or the whole amount of a fluid. Scanning a jug, a
   * funnel or a pump notes that what was laid is poured with it.
   */
  @Allowed.ToKeepStore
  public Outcome scan(Sent sent, TrayId trayId, String code) {
    return onTray(sent, trayId, (session, tray) -> scan(session, sent, tray, code));
  }

  private Outcome scan(Session session, Sent sent, Tray tray, String code) {
    if (PartKey.of(code).isEmpty()) {
      return Outcome.refused(new TrayRefusal.NoNumber(code));
    }
    List<Item> items = ScannedItems.of(session, code);
    if (items.isEmpty()) {
      Optional<DispenserStand> dispenser = session.dispensers().named(code);
      if (dispenser.isPresent()) {
        return new Dispensing(session, clock, sent.actor()).onTray(dispenser.get(), tray);
      }
      return Outcome.refused(
          receiver
              .badge(session, code)
              .<TrayRefusal>map(TrayRefusal.IsBadge::new)
              .orElseGet(() -> new TrayRefusal.UnknownNumber(code.strip())));
    }
    if (items.size() > 1) {
      // two makes may print one number on different parts
      return Outcome.refused(new TrayRefusal.SeveralMakes(code.strip(), items));
    }
    List<ItemId> ids = items.stream().map(Item::id).toList();
    List<TrayLine> lines =
        tray.lines().stream().filter(line -> ids.contains(line.itemId())).toList();
    if (lines.isEmpty()) {
      return Outcome.refused(
          StandIns.inHand(session, clock.today(), tray, items.get(0))
              .orElseGet(() -> new TrayRefusal.NotOnTray(items.get(0))));
    }
    return lines.stream()
        .filter(line -> !line.isLaid())
        .findFirst()
        .map(line -> layMore(session, tray, line, amountOfAScan(line)))
        .orElseGet(() -> Outcome.refused(new TrayRefusal.LaidInFull(items.get(0))));
  }

  private static Quantity amountOfAScan(TrayLine line) {
    return line.wanted().measure() == Measure.PIECES ? Quantity.pieces(1) : line.missing();
  }

  /**
   * Puts an item on the tray that the service itself does not ask for.
   *
   * @param amount in the item's measure
   * @param said what it is for and where it goes, where that has to be said
   */
  @Allowed.ToKeepStore
  public Outcome putOn(
      Sent sent, TrayId trayId, ItemId itemId, BigDecimal amount, ByHand.Said said) {
    return onTray(sent, trayId, (session, tray) -> putOn(session, tray, itemId, amount, said));
  }

  private Outcome putOn(
      Session session, Tray tray, ItemId itemId, BigDecimal amount, ByHand.Said said) {
    Optional<Item> item = session.items().byId(itemId);
    if (item.isEmpty()) {
      return Outcome.refused(new TrayRefusal.UnknownItem());
    }
    Quantity wanted = Quantity.of(item.get().measure(), amount);
    if (!wanted.isPositive() || !wanted.isCountable()) {
      return Outcome.refused(new TrayRefusal.BadQuantity(wanted));
    }
    Optional<TrayRefusal> objection = ByHand.on(session, clock.today(), tray, item.get(), said);
    if (objection.isPresent()) {
      return Outcome.refused(objection.get());
    }
    Optional<Compartment> into = into(session, tray, item.get(), said);
    if (said.into().isPresent() && into.isEmpty()) {
      return Outcome.refused(
          new TrayRefusal.NoSuchCompartment(tray.unitCode().orElse("The workshop"), item.get()));
    }
    session
        .trayLines()
        .addLine(
            tray.id(),
            itemId,
            into.map(Compartment::name).orElseGet(() -> ByHand.place(item.get())),
            new LineReason.ByHand(said.why()),
            wanted,
            into.map(Compartment::id).map(Destination::compartment).orElse(Destination.NONE));
    return Outcome.done();
  }

  /**
   * The compartment that a fluid is said to go into; empty for a part, or if there is none such.
   */
  private Optional<Compartment> into(Session session, Tray tray, Item item, ByHand.Said said) {
    if (said.into().isEmpty() || item.product().isEmpty()) {
      return Optional.empty();
    }
    return TrayMachine.of(FleetPicture.load(session, clock.today()), tray)
        .needs()
        .compartments()
        .stream()
        .filter(compartment -> compartment.id().equals(said.into().get()))
        .findFirst();
  }

  /** Puts a wanted part of the tray's machine, or of the workshop's own, on the tray. */
  @Allowed.ToKeepStore
  public Outcome putOnWanted(Sent sent, TrayId trayId, WantedPartId wantedId) {
    return onTray(
        sent,
        trayId,
        (session, tray) ->
            session
                .wanted()
                .open(wantedId)
                .filter(part -> part.unit().map(WantedPart.ForUnit::id).equals(tray.unitId()))
                .map(
                    part -> {
                      WantedLines.putOn(session, tray, part);
                      return Outcome.done();
                    })
                .orElseGet(() -> Outcome.refused(new TrayRefusal.NotWantedHere())));
  }

  /** Puts an open tray on another day; its tasks are planned for that day from now on. */
  @Allowed.ToKeepStore
  public Outcome moveTo(Sent sent, TrayId trayId, LocalDate day) {
    return onTray(
        sent,
        trayId,
        (session, tray) -> {
          LocalDate last = clock.today().plusYears(FleetPicture.HORIZON_YEARS);
          if (day.isBefore(clock.today()) || day.isAfter(last)) {
            return Outcome.refused(new TrayRefusal.OutsidePlan(day, clock.today(), last));
          }
          session.trays().setDay(trayId, day);
          return Outcome.done();
        });
  }

  /** Puts a whole tray back on the shelves. */
  @Allowed.ToKeepStore
  public Outcome clear(Sent sent, TrayId trayId) {
    return onTray(
        sent,
        trayId,
        (session, tray) -> {
          session.trayLines().unlayAll(trayId);
          session.trays().clear(trayId, tray.version() + 1);
          return Outcome.done();
        });
  }

  private Outcome layMore(Session session, Tray tray, TrayLine line, Quantity more) {
    if (!more.isPositive()) {
      return Outcome.done();
    }
    Optional<FluidLine> unsigned =
        FluidLine.of(session, tray, line, clock.today()).filter(FluidLine::lacksSignature);
    if (unsigned.isPresent()) {
      return Outcome.refused(new TrayRefusal.LacksSignature(unsigned.get()));
    }
    Quantity free =
        session
            .placeStock()
            .free(clock.today(), tray.place())
            .getOrDefault(line.stock(), Quantity.zero(more.measure()));
    if (more.compareTo(free) > 0) {
      return Outcome.refused(new TrayRefusal.NotFree(line.place(), more, free));
    }
    session.trayLines().setLaid(line.id(), line.laid().plus(more));
    return Outcome.done();
  }

  /** What is done to one line. */
  private interface LineWork {
    Outcome on(Session session, Tray tray, TrayLine line);
  }

  private Outcome onLine(Sent sent, TrayId trayId, long lineId, LineWork work) {
    return onTray(
        sent,
        trayId,
        (session, tray) ->
            tray.lines().stream()
                .filter(line -> line.id() == lineId)
                .findFirst()
                .map(line -> work.on(session, tray, line))
                .orElseGet(() -> Outcome.refused(new TrayRefusal.NoSuchLine())));
  }

  private Outcome onTray(Sent sent, TrayId trayId, BiFunction<Session, Tray, Outcome> work) {
    return once.run(
        sent,
        session -> {
          Optional<Tray> tray = session.trays().byId(trayId).filter(Tray::isOpen);
          if (tray.isEmpty()) {
            return Outcome.refused(new TrayRefusal.NotOpen());
          }
          Optional<Refusal> elsewhere = WorkPlaces.refusal(session, sent, tray.get().place());
          if (elsewhere.isPresent()) {
            return Outcome.refused(elsewhere.get());
          }
          session.trays().touch(trayId, tray.get().version());
          return work.apply(session, tray.get());
        });
  }
}

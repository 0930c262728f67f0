package dev.lonja.desk.tray;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.forecast.UnitPlan;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.Occurrence;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.desk.fluid.FluidObjection;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Starts trays and lays them, line by line. What is laid is held, not yet issued. */
@Service
@Allowed.ToKeepStore
public class TrayDesk extends KeepersDesk {

  private final OnceOnly once;
  private final StoreClock clock;

  public TrayDesk(OnceOnly once, StoreClock clock) {
    this.once = once;
    this.clock = clock;
  }

  /**
   * Starts the tray of the occurrence that is planned for a unit on a day; answers its id, or that
   * of the one that stands for it already.
   */
  @Allowed.ToKeepStore
  public Outcome start(Sent sent, String unitCode, LocalDate day) {
    return once.run(sent, session -> start(session, unitCode, day));
  }

  private Outcome start(Session session, String unitCode, LocalDate day) {
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    if (day.isAfter(fleet.horizon())) {
      // nobody lays a tray that far ahead, and to plan to there would hold the store for long
      return Outcome.refused(new TrayRefusal.NothingPlanned(unitCode, day));
    }
    Optional<UnitPlan> plan =
        fleet.units().stream()
            .filter(unit -> unit.code().equals(unitCode))
            .findFirst()
            .map(unit -> fleet.planOf(unit, day));
    // what no tray stands for yet comes first
    Optional<Occurrence> occurrence =
        plan.flatMap(
            unit ->
                unit.occurrences().stream()
                    .filter(o -> o.date().equals(day))
                    .min(Comparator.comparing(o -> o.inHand().isPresent())));
    if (occurrence.isEmpty()) {
      return Outcome.refused(new TrayRefusal.NothingPlanned(unitCode, day));
    }
    Set<TaskId> tasks =
        occurrence.get().tasks().stream().map(task -> task.task().id()).collect(Collectors.toSet());
    return Outcome.done(
        session.trays().standing().stream()
            .filter(tray -> tray.unitId().equals(plan.get().unitId()))
            .filter(tray -> tray.taskIds().stream().anyMatch(tasks::contains))
            .findFirst()
            .map(Tray::id)
            .orElseGet(() -> TrayMaker.start(session, plan.get(), occurrence.get())));
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
          session.trays().setLaid(lineId, Quantity.zero(line.wanted().measure()));
          return Outcome.done();
        });
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
          session.trays().setLeftOut(lineId, Optional.of(why));
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
          session.trays().setLeftOut(lineId, Optional.empty());
          return Outcome.done();
        });
  }

  /** Lays by a scanned or typed number: one piece, or the whole amount of a fluid. */
  @Allowed.ToKeepStore
  public Outcome scan(Sent sent, TrayId trayId, String code) {
    return onTray(sent, trayId, (session, tray) -> scan(session, tray, code));
  }

  private Outcome scan(Session session, Tray tray, String code) {
    Optional<PartKey> key = PartKey.of(code);
    if (key.isEmpty()) {
      return Outcome.refused(new TrayRefusal.NoNumber(code));
    }
    List<Item> items =
        session
            .items()
            .byBarcode(code.strip())
            .map(List::of)
            .orElseGet(() -> session.items().byKey(key.get()));
    if (items.isEmpty()) {
      return Outcome.refused(new TrayRefusal.UnknownNumber(code.strip()));
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
   */
  @Allowed.ToKeepStore
  public Outcome putOn(Sent sent, TrayId trayId, ItemId itemId, BigDecimal amount) {
    return onTray(sent, trayId, (session, tray) -> putOn(session, tray, itemId, amount));
  }

  private Outcome putOn(Session session, Tray tray, ItemId itemId, BigDecimal amount) {
    Optional<Item> item = session.items().byId(itemId);
    if (item.isEmpty()) {
      return Outcome.refused(new TrayRefusal.UnknownItem());
    }
    Quantity wanted = Quantity.of(item.get().measure(), amount);
    if (!wanted.isPositive() || !wanted.isCountable()) {
      return Outcome.refused(new TrayRefusal.BadQuantity(wanted));
    }
    Optional<FluidObjection> objection = objectionByHand(session, tray, item.get());
    if (objection.isPresent()) {
      return Outcome.refused(
          new TrayRefusal.NowhereWithoutSignature(tray.unitCode(), objection.get()));
    }
    session
        .trays()
        .addLine(tray.id(), itemId, "extra", new LineReason.ByHand(), wanted, Destination.NONE);
    return Outcome.done();
  }

  /** A fluid that no compartment of its kind takes without a word is not put on by hand. */
  private Optional<FluidObjection> objectionByHand(Session session, Tray tray, Item item) {
    List<Spec> places =
        FleetPicture.load(session, clock.today()).needs(tray.unitId()).compartments().stream()
            .map(Compartment::spec)
            .filter(spec -> item.product().filter(p -> p.kind() == spec.kind()).isPresent())
            .toList();
    FluidBook book = FluidBook.load(session, clock.today());
    boolean allowed =
        places.stream()
            .anyMatch(
                spec -> book.verdict(spec, item.product().orElseThrow().id()).overall().isFree());
    return places.isEmpty() || allowed
        ? Optional.empty()
        : Optional.of(FluidObjection.of(book, places.get(0), item));
  }

  /** Puts a whole tray back on the shelves. */
  @Allowed.ToKeepStore
  public Outcome clear(Sent sent, TrayId trayId) {
    return onTray(
        sent,
        trayId,
        (session, tray) -> {
          session.trays().unlayAll(trayId);
          session.trays().clear(trayId, tray.version() + 1);
          return Outcome.done();
        });
  }

  private Outcome layMore(Session session, Tray tray, TrayLine line, Quantity more) {
    if (!more.isPositive()) {
      return Outcome.done();
    }
    Optional<FluidLine> unsigned =
        FluidLine.of(session, tray.unitId(), line, clock.today()).filter(FluidLine::lacksSignature);
    if (unsigned.isPresent()) {
      return Outcome.refused(new TrayRefusal.LacksSignature(unsigned.get()));
    }
    Quantity free =
        session
            .ledger()
            .free(clock.today())
            .getOrDefault(line.itemId(), Quantity.zero(more.measure()));
    if (more.compareTo(free) > 0) {
      return Outcome.refused(new TrayRefusal.NotFree(line.place(), more, free));
    }
    session.trays().setLaid(line.id(), line.laid().plus(more));
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
          session.trays().touch(trayId, tray.get().version());
          return work.apply(session, tray.get());
        });
  }
}

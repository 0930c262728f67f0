package dev.lonja.web.tray;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.forecast.UnitPlan;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.Occurrence;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.core.tray.TrayProgress;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Starts trays and lays them, line by line. What is laid is held, not yet issued. */
@Service
@Allowed.ToKeepStore
public class TrayDesk {

  private final OnceOnly once;
  private final StoreClock clock;

  public TrayDesk(OnceOnly once, StoreClock clock) {
    this.once = once;
    this.clock = clock;
  }

  /** Starts the tray of the occurrence that is planned for a unit on a day. */
  @Allowed.ToKeepStore
  public Outcome start(Sent sent, String unitCode, LocalDate day) {
    return once.run(sent, session -> start(session, unitCode, day));
  }

  private Outcome start(Session session, String unitCode, LocalDate day) {
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    Optional<UnitPlan> plan =
        fleet.units().stream()
            .filter(unit -> unit.code().equals(unitCode))
            .findFirst()
            .map(unit -> fleet.planOf(unit, day));
    Optional<Occurrence> occurrence =
        plan.flatMap(
            unit -> unit.occurrences().stream().filter(o -> o.date().equals(day)).findFirst());
    if (occurrence.isEmpty()) {
      return Outcome.refused(
          Problem.ofWhole(
              "Nothing is planned for "
                  + unitCode
                  + " on "
                  + day
                  + " any more. Look at its due dates again."));
    }
    Set<TaskId> tasks =
        occurrence.get().tasks().stream().map(task -> task.task().id()).collect(Collectors.toSet());
    Optional<Tray> already =
        session.trays().open().stream()
            .filter(tray -> tray.unitId().equals(plan.get().unitId()))
            .filter(tray -> tray.taskIds().stream().anyMatch(tasks::contains))
            .findFirst();
    if (already.isPresent()) {
      return new Outcome.Done(path(already.get().id()));
    }
    return new Outcome.Done(path(TrayMaker.start(session, plan.get(), occurrence.get())));
  }

  /** Lays what is missing on a line. */
  @Allowed.ToKeepStore
  public Outcome lay(Sent sent, TrayId trayId, long lineId) {
    return onLine(
        sent, trayId, lineId, (session, line) -> layMore(session, trayId, line, line.missing()));
  }

  /** Takes what is laid on a line back off. */
  @Allowed.ToKeepStore
  public Outcome takeOff(Sent sent, TrayId trayId, long lineId) {
    return onLine(
        sent,
        trayId,
        lineId,
        (session, line) -> {
          session.trays().setLaid(lineId, Quantity.zero(line.wanted().measure()));
          return new Outcome.Done(path(trayId));
        });
  }

  /** Leaves a line out of the tray: what is not laid of it is no longer wanted. */
  @Allowed.ToKeepStore
  public Outcome leaveOut(Sent sent, TrayId trayId, long lineId) {
    return onLine(
        sent,
        trayId,
        lineId,
        (session, line) -> {
          if (line.laid().isPositive()) {
            session.trays().setWanted(lineId, line.laid());
          } else {
            session.trays().removeLine(lineId);
          }
          return new Outcome.Done(path(trayId));
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
      return Outcome.refused(
          new Problem("code", "\"" + code + "\" holds no letter and no digit. Scan a number."));
    }
    List<Item> items =
        session
            .items()
            .byBarcode(code.strip())
            .map(List::of)
            .orElseGet(() -> session.items().byKey(key.get()));
    if (items.isEmpty()) {
      return Outcome.refused(
          new Problem("code", "No item has the number \"" + code.strip() + "\"."));
    }
    List<ItemId> ids = items.stream().map(Item::id).toList();
    List<TrayLine> lines =
        tray.lines().stream().filter(line -> ids.contains(line.itemId())).toList();
    if (lines.isEmpty()) {
      return Outcome.refused(
          new Problem(
              "code", items.get(0).number() + " is not on this tray. Open it to put it on."));
    }
    Optional<TrayLine> next = lines.stream().filter(line -> !line.isLaid()).findFirst();
    if (next.isEmpty()) {
      return Outcome.refused(
          new Problem("code", items.get(0).number() + " is laid in full already."));
    }
    TrayLine line = next.get();
    Quantity amount =
        line.wanted().measure() == dev.lonja.core.quantity.Measure.PIECES
            ? Quantity.pieces(1)
            : line.missing();
    return layMore(session, tray.id(), line, amount);
  }

  /** Puts an item on the tray that the service itself does not ask for. */
  @Allowed.ToKeepStore
  public Outcome putOn(Sent sent, TrayId trayId, ItemId itemId, String quantity) {
    return onTray(sent, trayId, (session, tray) -> putOn(session, tray, itemId, quantity));
  }

  private Outcome putOn(Session session, Tray tray, ItemId itemId, String quantity) {
    Optional<Item> item = session.items().byId(itemId);
    if (item.isEmpty()) {
      return Outcome.refused(Problem.ofWhole("That item is not known."));
    }
    Typed typed = new Typed();
    Optional<BigDecimal> amount = typed.decimal("quantity", "The quantity", quantity);
    if (amount.isEmpty()) {
      return new Outcome.Refused(typed.problems());
    }
    Quantity wanted = Quantity.of(item.get().measure(), amount.get());
    if (!wanted.isPositive() || !wanted.isCountable()) {
      return Outcome.refused(
          new Problem(
              "quantity",
              "The quantity is "
                  + quantity.strip()
                  + "; allowed is "
                  + (wanted.isCountable() ? "more than 0." : "whole pieces.")));
    }
    Optional<String> refusal = FluidLine.refusalByHand(session, tray, item.get(), clock.today());
    if (refusal.isPresent()) {
      return Outcome.refused(new Problem("quantity", refusal.get()));
    }
    session
        .trays()
        .addLine(tray.id(), itemId, "extra", "Put on by hand.", wanted, Destination.NONE);
    return new Outcome.Done(path(tray.id()));
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
          return new Outcome.Done("/trays");
        });
  }

  private Outcome layMore(Session session, TrayId trayId, TrayLine line, Quantity more) {
    if (!more.isPositive()) {
      return new Outcome.Done(path(trayId));
    }
    Optional<FluidLine> unsigned =
        FluidLine.of(session, trayId, line, clock.today()).filter(FluidLine::lacksSignature);
    if (unsigned.isPresent()) {
      return Outcome.refused(
          new Problem("code", line.place() + " " + unsigned.get().words() + ". Nothing was laid."));
    }
    Quantity free =
        session
            .ledger()
            .free(clock.today())
            .getOrDefault(line.itemId(), Quantity.zero(more.measure()));
    if (more.compareTo(free) > 0) {
      return Outcome.refused(
          new Problem(
              "code",
              line.place()
                  + ": "
                  + more.display()
                  + " wanted, "
                  + free.display()
                  + " free. Nothing was laid."));
    }
    session.trays().setLaid(line.id(), line.laid().plus(more));
    return new Outcome.Done(path(trayId));
  }

  private Outcome onLine(
      Sent sent, TrayId trayId, long lineId, BiFunction<Session, TrayLine, Outcome> work) {
    return onTray(
        sent,
        trayId,
        (session, tray) ->
            tray.lines().stream()
                .filter(line -> line.id() == lineId)
                .findFirst()
                .map(line -> work.apply(session, line))
                .orElseGet(
                    () -> Outcome.refused(Problem.ofWhole("That line is no longer on the tray."))));
  }

  private Outcome onTray(Sent sent, TrayId trayId, BiFunction<Session, Tray, Outcome> work) {
    return once.run(
        sent,
        session -> {
          Optional<Tray> tray = session.trays().byId(trayId);
          if (tray.isEmpty() || !tray.get().isOpen()) {
            return Outcome.refused(Problem.ofWhole("This tray is not open any more."));
          }
          session.trays().touch(trayId, tray.get().version());
          return work.apply(session, tray.get());
        });
  }

  /** The address of a tray's page. */
  public static String path(TrayId trayId) {
    return "/trays/" + trayId;
  }

  /** The lines of a tray with their states; what this tray holds itself counts as laid. */
  static TrayProgress progress(Session session, Tray tray, LocalDate today) {
    return TrayProgress.of(tray.lines(), session.ledger().free(today));
  }
}

package dev.lonja.desk.tray;

import dev.lonja.core.crossref.Candidate;
import dev.lonja.core.crossref.Verdict;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.Boxes;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.service.Task;
import dev.lonja.core.take.ServiceTake;
import dev.lonja.core.take.TakeLine;
import dev.lonja.core.tray.BoxSettlement;
import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.crossref.Alternatives;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/**
 * Puts something else on a tray's line, with a reason. What the original's box brought and the job
 * needs is added by itself; what the substitute's box brings is dropped.
 */
@Service
@Allowed.ToSeeStore
public class SubstituteDesk extends KeepersDesk {

  private final LonjaStore store;
  private final OnceOnly once;
  private final StoreClock clock;

  public SubstituteDesk(LonjaStore store, OnceOnly once, StoreClock clock) {
    this.store = store;
    this.once = once;
    this.clock = clock;
  }

  /** A line of parts on an open tray, with what may stand for what it asks for. */
  public record LineFile(Tray tray, TrayLine line, Item asked, Alternatives alternatives) {}

  /** Empty if the tray is not open, or the line is not one of parts. */
  public Optional<LineFile> line(TrayId trayId, long lineId) {
    return store.read(
        session ->
            session
                .trays()
                .byId(trayId)
                .filter(Tray::isOpen)
                .flatMap(tray -> line(tray, lineId).map(line -> file(session, tray, line))));
  }

  private static Optional<TrayLine> line(Tray tray, long lineId) {
    return tray.lines().stream()
        .filter(line -> line.id() == lineId)
        .filter(line -> line.wanted().measure() == Measure.PIECES)
        .findFirst();
  }

  private LineFile file(Session session, Tray tray, TrayLine line) {
    Item asked = session.items().byId(line.askedItemId()).orElseThrow();
    return new LineFile(tray, line, asked, StandIns.of(session, clock.today(), tray, line));
  }

  /** Puts an item on the line in place of what is asked for. */
  @Allowed.ToKeepStore
  public Outcome lay(Sent sent, TrayId trayId, long lineId, ItemId itemId, String reason) {
    return onLine(
        sent,
        trayId,
        lineId,
        (session, tray, line) -> {
          Optional<TrayRefusal> refusal =
              refusal(file(session, tray, line).alternatives(), itemId)
                  .or(() -> otherMake(session, tray, line, itemId));
          if (refusal.isPresent()) {
            return Outcome.refused(refusal.get());
          }
          TrayLine.Substitution substitution =
              new TrayLine.Substitution(line.askedItemId(), reason);
          return put(session, tray, line, itemId, Optional.of(substitution));
        });
  }

  /** Puts what is asked for back on the line. */
  @Allowed.ToKeepStore
  public Outcome putBack(Sent sent, TrayId trayId, long lineId) {
    return onLine(
        sent,
        trayId,
        lineId,
        (session, tray, line) -> put(session, tray, line, line.askedItemId(), Optional.empty()));
  }

  /** What is done to one line. */
  private interface LineWork {
    Outcome on(Session session, Tray tray, TrayLine line);
  }

  private Outcome onLine(Sent sent, TrayId trayId, long lineId, LineWork work) {
    return once.run(
        sent,
        session -> {
          Optional<Tray> tray = session.trays().byId(trayId).filter(Tray::isOpen);
          return tray.flatMap(t -> line(t, lineId))
              .map(line -> work.on(session, tray.get(), line))
              .orElseGet(() -> Outcome.refused(new TrayRefusal.NoSuchLine()));
        });
  }

  private Outcome put(
      Session session,
      Tray tray,
      TrayLine line,
      ItemId itemId,
      Optional<TrayLine.Substitution> substitution) {
    session.trayLines().substitute(line.id(), itemId, substitution);
    settleBoxes(session, tray.id(), line);
    session.trays().touch(tray.id(), tray.version());
    return Outcome.done();
  }

  /** Why an item may not be laid; empty if it may. */
  private static Optional<TrayRefusal> refusal(Alternatives alternatives, ItemId itemId) {
    Optional<Candidate> candidate = StandIns.candidate(alternatives, itemId);
    if (candidate.isEmpty()) {
      return Optional.of(new TrayRefusal.NobodySaidSo());
    }
    return candidate
        .filter(c -> c.verdict() == Verdict.DOES_NOT_FIT)
        .map(TrayRefusal.DoesNotFit::new);
  }

  /** By policy the store takes one make only at that place, and this is another. */
  private Optional<TrayRefusal> otherMake(
      Session session, Tray tray, TrayLine line, ItemId itemId) {
    UnitNeeds needs = TrayMachine.of(FleetPicture.load(session, clock.today()), tray).needs();
    Item item = session.items().byId(itemId).orElseThrow();
    return line.positionId()
        .flatMap(needs::knownPosition)
        .filter(position -> !needs.ways().takesMake(position, item.make()))
        .map(position -> new TrayRefusal.OtherMake(item, needs.ways().make()));
  }

  private void settleBoxes(Session session, TrayId trayId, TrayLine before) {
    Tray tray = session.trays().byId(trayId).orElseThrow();
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    TrayMachine machine = TrayMachine.of(fleet, tray);
    UnitNeeds needs = machine.needs();
    Boxes boxes = needs.shelf().boxes();
    TrayLine now = line(tray, before.id()).orElseThrow();
    List<Task> tasks = machine.tasks();
    List<TakeLine> takes =
        tasks.isEmpty() ? List.of() : ServiceTake.withoutBoxes(needs, tasks).lines();
    for (BoxSettlement.Change change :
        BoxSettlement.changes(
            tray.lines(), now.id(), boxes.of(before.itemId()), boxes.of(now.itemId()), takes)) {
      if (change instanceof BoxSettlement.Change.Add add) {
        session
            .trayLines()
            .addLine(
                trayId,
                add.line().itemId(),
                add.line().place(),
                new LineReason.NotInBox(before.itemId()),
                add.pieces(),
                add.line().destination(),
                Optional.of(add.line().taskId()));
      } else if (change instanceof BoxSettlement.Change.Drop drop) {
        session.trayLines().lessen(drop.line(), drop.pieces());
      }
    }
  }
}

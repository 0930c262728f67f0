package dev.lonja.web.tray;

import dev.lonja.core.crossref.Candidate;
import dev.lonja.core.crossref.Fitting;
import dev.lonja.core.crossref.Verdict;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.service.Boxes;
import dev.lonja.core.service.ServiceTake;
import dev.lonja.core.service.TakeLine;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.core.service.UnitNeeds;
import dev.lonja.core.tray.BoxSettlement;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import dev.lonja.web.crossref.CandidateRow;
import dev.lonja.web.crossref.CandidatesLoader;
import dev.lonja.web.crossref.PlaceDemands;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.request.Typed;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/**
 * Puts something else on a tray's line, with a reason. What the original's box brought and the job
 * needs is added by itself; what the substitute's box brings is dropped.
 */
@Service
@Allowed.ToSeeStore
public class SubstituteDesk {

  private static final int LONGEST_REASON = 200;

  private final LonjaStore store;
  private final OnceOnly once;
  private final StoreClock clock;

  public SubstituteDesk(LonjaStore store, OnceOnly once, StoreClock clock) {
    this.store = store;
    this.once = once;
    this.clock = clock;
  }

  /**
   * The page of one line.
   *
   * @param asked what the service asks for
   * @param instead why something else lies there; empty if nothing else does
   */
  record View(
      TrayId trayId,
      String tray,
      long lineId,
      String unit,
      Optional<PositionId> positionId,
      String place,
      Plate asked,
      String instead,
      List<CandidateRow> candidates) {}

  /** Empty if the tray is not open, or the line is not one of parts. */
  Optional<View> view(TrayId trayId, long lineId) {
    return store.read(
        session ->
            session
                .trays()
                .byId(trayId)
                .filter(Tray::isOpen)
                .flatMap(tray -> line(tray, lineId).map(line -> view(session, tray, line))));
  }

  private static Optional<TrayLine> line(Tray tray, long lineId) {
    return tray.lines().stream()
        .filter(line -> line.id() == lineId)
        .filter(line -> line.wanted().measure() == Measure.PIECES)
        .findFirst();
  }

  private View view(Session session, Tray tray, TrayLine line) {
    Item asked = session.items().byId(line.askedItemId()).orElseThrow();
    return new View(
        tray.id(),
        tray.number(),
        line.id(),
        tray.unitCode(),
        line.positionId(),
        line.place(),
        Plate.of(asked),
        line.substitution().map(TrayLine.Substitution::why).orElse(""),
        loader(session, tray, line, asked).rows());
  }

  private CandidatesLoader loader(Session session, Tray tray, TrayLine line, Item asked) {
    UnitNeeds needs = FleetPicture.load(session, clock.today()).needs(tray.unitId());
    Fitting place =
        line.positionId()
            .flatMap(id -> position(needs, id))
            .map(position -> PlaceDemands.of(session, needs, position))
            .orElse(Fitting.ANYWHERE);
    return CandidatesLoader.of(session, clock.today(), asked.partId(), place);
  }

  private static Optional<Position> position(UnitNeeds needs, PositionId id) {
    return needs.positions().stream().filter(position -> position.id().equals(id)).findFirst();
  }

  /** Puts an item on the line in place of what is asked for, or what is asked for back on it. */
  @Allowed.ToKeepStore
  public Outcome lay(Sent sent, TrayId trayId, long lineId, ItemId itemId, String reason) {
    return once.run(
        sent,
        session -> {
          Optional<Tray> tray = session.trays().byId(trayId).filter(Tray::isOpen);
          Optional<TrayLine> line = tray.flatMap(t -> line(t, lineId));
          if (line.isEmpty()) {
            return Outcome.refused(Problem.ofWhole("That line is no longer on an open tray."));
          }
          return lay(session, tray.get(), line.get(), itemId, reason);
        });
  }

  private Outcome lay(Session session, Tray tray, TrayLine line, ItemId itemId, String reason) {
    boolean back = itemId.equals(line.askedItemId());
    Typed typed = new Typed();
    Optional<String> why =
        back ? Optional.of("") : typed.text("reason", "The reason", reason, LONGEST_REASON);
    Item asked = session.items().byId(line.askedItemId()).orElseThrow();
    if (!back) {
      refusal(loader(session, tray, line, asked), itemId)
          .ifPresent(text -> typed.refuse("itemId", text));
    }
    if (!typed.problems().isEmpty()) {
      return new Outcome.Refused(typed.problems());
    }
    session
        .trays()
        .substitute(
            line.id(),
            itemId,
            back
                ? Optional.empty()
                : Optional.of(new TrayLine.Substitution(line.askedItemId(), why.orElseThrow())));
    settleBoxes(session, tray.id(), line);
    session.trays().touch(tray.id(), tray.version());
    return new Outcome.Done(TrayDesk.path(tray.id()));
  }

  /** Why an item may not be laid; empty if it may. */
  private static Optional<String> refusal(CandidatesLoader loader, ItemId itemId) {
    Optional<Candidate> candidate =
        loader.candidates().others().stream()
            .filter(c -> loader.stocks(c.part().id(), itemId))
            .findFirst();
    if (candidate.isEmpty()) {
      return Optional.of("Nobody has said that this item may stand in here.");
    }
    return candidate
        .filter(c -> c.verdict() == Verdict.DOES_NOT_FIT)
        .map(
            c ->
                c.part().number()
                    + " does not fit here: "
                    + String.join("; ", CandidatesLoader.reasons(c))
                    + ".");
  }

  private void settleBoxes(Session session, TrayId trayId, TrayLine before) {
    Tray tray = session.trays().byId(trayId).orElseThrow();
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    UnitNeeds needs = fleet.needs(tray.unitId());
    Boxes boxes = needs.boxes();
    TrayLine now = line(tray, before.id()).orElseThrow();
    List<Task> tasks =
        fleet.tasks().getOrDefault(tray.unitId(), List.of()).stream()
            .map(TaskStanding::task)
            .filter(task -> tray.taskIds().contains(task.id()))
            .toList();
    List<TakeLine> takes =
        tasks.isEmpty() ? List.of() : ServiceTake.withoutBoxes(needs, tasks).lines();
    String original = session.items().byId(before.itemId()).orElseThrow().number();
    for (BoxSettlement.Change change :
        BoxSettlement.changes(
            tray.lines(), now.id(), boxes.of(before.itemId()), boxes.of(now.itemId()), takes)) {
      apply(session, trayId, original, change);
    }
  }

  private static void apply(
      Session session, TrayId trayId, String original, BoxSettlement.Change change) {
    if (change instanceof BoxSettlement.Change.Add add) {
      session
          .trays()
          .addLine(
              trayId,
              add.line().itemId(),
              add.line().place(),
              "Came in the box of " + original + "; this box lacks it.",
              add.pieces(),
              add.line().destination());
    } else if (change instanceof BoxSettlement.Change.Drop drop) {
      session.trays().lessen(drop.line(), drop.pieces());
    }
  }
}

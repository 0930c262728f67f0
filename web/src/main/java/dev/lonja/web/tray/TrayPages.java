package dev.lonja.web.tray;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.PastMovement;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.core.service.UnitNeeds;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.core.tray.TrayProgress;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import dev.lonja.web.crossref.OnTheShelf;
import dev.lonja.web.fluid.Hazards;
import dev.lonja.web.fluid.VerdictView;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.LineStates;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;

/**
 * Answers what goes into a job and whether it is here. The workshop sees the trays it was handed.
 */
@Service
@Allowed.ToSeeMachines
public class TrayPages {

  private static final int DAYS_BACK = 30;

  private final LonjaStore store;
  private final StoreClock clock;

  /** Who looks: the store sees every tray, a mechanic the own ones. */
  record Viewer(String name, boolean seesAll) {

    boolean sees(Tray tray) {
      return seesAll || tray.mechanic().filter(name::equalsIgnoreCase).isPresent();
    }
  }

  TrayPages(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  TraysView all(Viewer viewer) {
    return store.read(
        session ->
            new TraysView(
                rows(session, session.trays().open(), viewer),
                rows(
                    session,
                    session.trays().handedOverSince(clock.today().minusDays(DAYS_BACK)),
                    viewer)));
  }

  Optional<TrayView> tray(TrayId id, Viewer viewer) {
    return store.read(
        session -> session.trays().byId(id).filter(viewer::sees).map(tray -> view(session, tray)));
  }

  private List<TraysView.Row> rows(Session session, List<Tray> trays, Viewer viewer) {
    return trays.stream().filter(viewer::sees).map(tray -> row(session, tray)).toList();
  }

  private TraysView.Row row(Session session, Tray tray) {
    TrayProgress progress = TrayDesk.progress(session, tray, clock.today());
    return new TraysView.Row(
        tray.id(),
        tray.number(),
        tray.unitCode(),
        tray.title(),
        when(tray),
        progress.laidCount() + "/" + progress.steps().size(),
        state(tray, progress));
  }

  private static State state(Tray tray, TrayProgress progress) {
    return switch (tray.state()) {
      case OPEN -> LineStates.of(progress);
      case HANDED_OVER -> State.ready("handed over");
      case CLEARED -> State.open("put back");
    };
  }

  private String when(Tray tray) {
    return tray.handedOverOn()
        .map(day -> "to " + tray.mechanic().orElseThrow() + " on " + Words.day(day, clock.today()))
        .orElseGet(() -> Words.weekdayAndDay(tray.plannedOn()));
  }

  private TrayView view(Session session, Tray tray) {
    TrayProgress progress = TrayDesk.progress(session, tray, clock.today());
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    Map<ItemId, List<PastMovement>> issued = session.ledger().issuesOf(tray.number());
    FluidBook book = FluidBook.load(session, clock.today());
    List<TrayView.LineRow> lines =
        progress.steps().stream()
            .map(step -> line(session, book, tray, step, issued, fleet.needs(tray.unitId())))
            .toList();
    JobFacts facts = new JobFacts(fleet, tray);
    return new TrayView(
        tray.id(),
        tray.number(),
        tray.unitCode(),
        tray.title(),
        when(tray),
        progress.laidCount() + " of " + progress.steps().size() + " laid",
        state(tray, progress),
        tray.isOpen(),
        progress.state() == TrayProgress.State.READY,
        tray.state() == Tray.State.HANDED_OVER,
        tray.version(),
        lines.stream()
            .filter(line -> !line.laid() && line.mayLay())
            .map(TrayView.LineRow::bin)
            .findFirst()
            .orElse(""),
        lines,
        facts.torques(),
        facts.tools(),
        facts.hints(),
        cautions(session, tray, facts),
        HandOverDesk.metersOfTray(fleet, tray).stream().map(this::meter).toList(),
        tray.mechanic().orElse(""));
  }

  /** Those of the work, then those of each fluid's own hazards. */
  private static List<String> cautions(Session session, Tray tray, JobFacts facts) {
    Set<String> cautions = new LinkedHashSet<>(facts.cautions());
    Hazards hazards = Hazards.load(session);
    for (TrayLine line : tray.lines()) {
      session
          .items()
          .byId(line.itemId())
          .flatMap(Item::product)
          .ifPresent(product -> cautions.addAll(hazards.of(product)));
    }
    return cautions.isEmpty() ? List.of() : Cautions.deferring(cautions);
  }

  private TrayView.MeterRow meter(MeterStanding meter) {
    return new TrayView.MeterRow(
        meter.file().meter().id(),
        meter.file().meter().name(),
        meter.file().meter().measure().symbol(),
        meter.expectedToShow(clock.today()).display());
  }

  private TrayView.LineRow line(
      Session session,
      FluidBook book,
      Tray tray,
      TrayProgress.Step step,
      Map<ItemId, List<PastMovement>> issued,
      UnitNeeds needs) {
    Item item = session.items().byId(step.line().itemId()).orElseThrow();
    Quantity out =
        issued.getOrDefault(item.id(), List.of()).stream()
            .map(PastMovement::stillOut)
            .reduce(Quantity.zero(item.measure()), Quantity::plus);
    Optional<FluidLine> fluid = FluidLine.of(session, book, needs, step.line());
    return new TrayView.LineRow(
        step.line().id(),
        item.id(),
        item.homeBin().address(),
        Plate.of(item),
        item.product().map(Drum::of),
        step.line().place(),
        step.line().note(),
        step.line().wanted().display(),
        LineStates.of(step),
        step.line().isLaid(),
        step.state() == TrayProgress.LineState.TO_LAY
            && fluid.filter(FluidLine::lacksSignature).isEmpty(),
        tray.state() == Tray.State.HANDED_OVER && out.isPositive() ? out.display() : "",
        step.line()
            .substitution()
            .flatMap(s -> session.items().byId(s.originalItemId()))
            .map(Item::number)
            .orElse(""),
        step.line().substitution().map(TrayLine.Substitution::why).orElse(""),
        !step.line().isLaid() && item.measure() == Measure.PIECES,
        fluid.isPresent() && !step.line().isLaid(),
        fluid.map(FluidLine::words).orElse(""),
        fluid.filter(f -> tray.isOpen()).map(f -> f.keeps(session)).orElse(""),
        step.state() == TrayProgress.LineState.SHORT && tray.isOpen()
            ? fluid.isPresent()
                ? instead(book, fluid.get())
                : OnTheShelf.instead(session, clock.today(), needs, step.line(), step.lacking())
                    .orElse("")
            : "");
  }

  /** What else on the shelf may go in without a word; empty if nothing may. */
  private static String instead(FluidBook book, FluidLine fluid) {
    List<String> others =
        VerdictView.fromTheShelf(book, fluid.compartment().spec(), fluid.product().id());
    return others.isEmpty() ? "" : "Instead: " + String.join("; ", others) + ".";
  }

  /** Torques and cautions that go with a tray's tasks. */
  private static final class JobFacts {
    private final UnitNeeds needs;
    private final List<Task> tasks;

    JobFacts(FleetPicture fleet, Tray tray) {
      this.needs = fleet.needs(tray.unitId());
      this.tasks =
          fleet.tasks().get(tray.unitId()).stream()
              .map(TaskStanding::task)
              .filter(task -> tray.taskIds().contains(task.id()))
              .toList();
    }

    List<TrayView.TorqueRow> torques() {
      List<TrayView.TorqueRow> torques = new ArrayList<>();
      for (Position position : needs.positions()) {
        if (position.torque().isPresent() && isWorkedOn(position)) {
          torques.add(new TrayView.TorqueRow(position.name(), position.torque().get().display()));
        }
      }
      return torques;
    }

    /** What turns the fasteners, each once. */
    List<String> tools() {
      return needs.positions().stream()
          .filter(this::isWorkedOn)
          .map(Position::drive)
          .filter(drive -> !drive.isEmpty())
          .distinct()
          .toList();
    }

    /** The order of the work, where a compartment has one. */
    List<String> hints() {
      return drained().stream()
          .filter(compartment -> !compartment.hint().isEmpty())
          .map(compartment -> compartment.name() + ": " + compartment.hint())
          .toList();
    }

    Set<String> cautions() {
      Set<String> cautions = new LinkedHashSet<>();
      for (Compartment compartment : drained()) {
        cautions.addAll(Cautions.whenDraining(compartment.kind()));
      }
      return cautions;
    }

    private boolean isWorkedOn(Position position) {
      boolean opensDrained =
          position.kind().opensCompartment() && drained().stream().anyMatch(position::belongsTo);
      return opensDrained || tasks.stream().anyMatch(task -> onPosition(task, position.id()));
    }

    private static boolean onPosition(Task task, PositionId positionId) {
      return task.positionId().filter(id -> id.equals(positionId)).isPresent();
    }

    private List<Compartment> drained() {
      return tasks.stream()
          .map(Task::action)
          .filter(Task.Action.ChangeFluid.class::isInstance)
          .map(action -> needs.compartment(((Task.Action.ChangeFluid) action).compartmentId()))
          .toList();
    }
  }
}

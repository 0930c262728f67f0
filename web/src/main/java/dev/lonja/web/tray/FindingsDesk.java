package dev.lonja.web.tray;

import dev.lonja.core.crossref.Statement;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.inspection.InspectionOutcome;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.pour.RecordedFill;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.ServiceTake;
import dev.lonja.core.service.TakeLine;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.TaskStanding;
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
import dev.lonja.store.service.RecordRepository.Inspected;
import dev.lonja.store.service.RecordRepository.NotedFill;
import dev.lonja.store.tray.Tray;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/**
 * Notes what came of a job: what its inspections found, how many litres were poured, and whether
 * substitutes fitted. The chance of a replacement, the capacity and the cross-reference are learned
 * from them.
 */
@Service
@Allowed.ToSeeMachines
public class FindingsDesk {

  private static final BigDecimal MOST_LITRES = BigDecimal.valueOf(2_000);
  private static final String OUTCOME = "outcome-";
  private static final String POURED = "poured-";

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public FindingsDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** What there is to note of a tray; nothing for one that is not handed over. */
  FindingsView view(TrayId trayId) {
    return store.read(
        session ->
            session
                .trays()
                .byId(trayId)
                .filter(tray -> tray.state() == Tray.State.HANDED_OVER)
                .map(tray -> view(session, tray))
                .orElse(FindingsView.NONE));
  }

  private FindingsView view(Session session, Tray tray) {
    Job job = Job.of(session, tray, clock);
    Map<CompartmentId, String> litres = new LinkedHashMap<>();
    session
        .records()
        .fillsOf(tray.id())
        .forEach(fill -> litres.put(fill.compartmentId(), fill.volume().exactText()));
    return new FindingsView(
        session.records().inspectionsOf(tray.id()).stream()
            .filter(inspected -> job.names().containsKey(inspected.taskId()))
            .map(
                inspected ->
                    new FindingsView.InspectionRow(
                        OUTCOME + inspected.recordId(),
                        job.names().get(inspected.taskId()),
                        inspected.outcome().map(o -> o.name().toLowerCase(Locale.ROOT)).orElse("")))
            .toList(),
        job.pours().stream()
            .map(
                pour ->
                    new FindingsView.FillRow(
                        POURED + pour.compartmentId(),
                        pour.name(),
                        pour.book().display() + ", " + pour.condition().words(),
                        litres.getOrDefault(pour.compartmentId(), "")))
            .toList(),
        new Confirmations(session, tray, clock).rows());
  }

  /** A compartment that the job fills. */
  private record Pour(
      CompartmentId compartmentId,
      String name,
      ItemId itemId,
      FillCondition condition,
      Volume book) {}

  /** What a tray's tasks do, as the unit stands. */
  private record Job(Map<TaskId, String> names, List<Pour> pours) {

    static Job of(Session session, Tray tray, StoreClock clock) {
      FleetPicture fleet = FleetPicture.load(session, clock.today());
      List<Task> tasks =
          fleet.tasks().getOrDefault(tray.unitId(), List.of()).stream()
              .map(TaskStanding::task)
              .filter(task -> tray.taskIds().contains(task.id()))
              .toList();
      Map<TaskId, String> names = new LinkedHashMap<>();
      Map<TaskId, CompartmentId> compartments = new LinkedHashMap<>();
      for (Task task : tasks) {
        names.put(task.id(), task.name());
        if (task.action() instanceof Task.Action.ChangeFluid change) {
          compartments.put(task.id(), change.compartmentId());
        }
      }
      List<Pour> pours = new ArrayList<>();
      if (!tasks.isEmpty()) {
        for (TakeLine line : ServiceTake.of(fleet.needs(tray.unitId()), tasks).lines()) {
          if (line.reason() instanceof TakeLine.Reason.Fill fill) {
            pours.add(
                new Pour(
                    compartments.get(line.taskId()),
                    line.place(),
                    laid(tray, line),
                    fill.filledIn(),
                    fill.capacity()));
          }
        }
      }
      return new Job(names, pours);
    }

    /** The item that the tray brought for a fill, whatever was asked for. */
    private static ItemId laid(Tray tray, TakeLine line) {
      return tray.lines().stream()
          .filter(l -> l.compartmentId().isPresent())
          .filter(l -> l.compartmentId().equals(line.destination().compartmentId()))
          .findFirst()
          .map(TrayLine::itemId)
          .orElse(line.itemId());
    }
  }

  /**
   * Notes what was typed; empty fields say nothing, and litres that were noted before give way.
   *
   * @param typed by field, as the form has them
   */
  @Allowed.ToKeepStore
  public Outcome note(Sent sent, TrayId trayId, Map<String, String> typed) {
    return once.run(
        sent,
        session ->
            session
                .trays()
                .byId(trayId)
                .filter(tray -> tray.state() == Tray.State.HANDED_OVER)
                .map(tray -> note(session, sent, tray, typed))
                .orElseGet(
                    () -> Outcome.refused(Problem.ofWhole("This tray is not handed over."))));
  }

  private Outcome note(Session session, Sent sent, Tray tray, Map<String, String> fields) {
    Typed typed = new Typed();
    List<NotedFill> fills = fills(session, sent, tray, fields, typed);
    List<Statement> confirmed = new Confirmations(session, tray, clock).read(fields, typed);
    Map<Long, InspectionOutcome> outcomes = outcomes(session, tray, fields, typed);
    if (!typed.problems().isEmpty()) {
      return new Outcome.Refused(typed.problems());
    }
    outcomes.forEach(
        (record, outcome) ->
            session.records().addOutcome(record, outcome, "", sent.actor(), clock.now()));
    session.records().withdrawFillsOf(tray.id(), "noted anew", sent.actor(), clock.now());
    fills.forEach(fill -> session.records().addFill(fill, "", clock.now()));
    confirmed.forEach(made -> session.statements().add(made, sent.actor(), clock.now()));
    return new Outcome.Done(TrayDesk.path(tray.id()));
  }

  private List<NotedFill> fills(
      Session session, Sent sent, Tray tray, Map<String, String> fields, Typed typed) {
    List<NotedFill> fills = new ArrayList<>();
    for (Pour pour : Job.of(session, tray, clock).pours()) {
      String field = POURED + pour.compartmentId();
      String text = fields.getOrDefault(field, "").strip();
      if (!text.isEmpty()) {
        typed
            .decimalUpTo(field, "Litres poured into " + pour.name(), text, MOST_LITRES)
            .map(
                litres ->
                    new RecordedFill(
                        0,
                        pour.compartmentId(),
                        pour.itemId(),
                        pour.condition(),
                        Volume.ofLitres(litres),
                        tray.handedOverOn().orElseThrow(),
                        sent.actor()))
            .ifPresent(
                fill -> fills.add(new NotedFill(fill, tray.unitId(), Optional.of(tray.id()))));
      }
    }
    return fills;
  }

  private static Map<Long, InspectionOutcome> outcomes(
      Session session, Tray tray, Map<String, String> fields, Typed typed) {
    Map<Long, InspectionOutcome> outcomes = new LinkedHashMap<>();
    for (Inspected inspected : session.records().inspectionsOf(tray.id())) {
      String field = OUTCOME + inspected.recordId();
      String text = fields.getOrDefault(field, "");
      Optional<InspectionOutcome> outcome =
          List.of(InspectionOutcome.values()).stream()
              .filter(o -> o.name().toLowerCase(Locale.ROOT).equals(text))
              .findFirst();
      if (outcome.isEmpty() && !text.isEmpty()) {
        typed.refuse(field, "\"" + text + "\" is no outcome; choose sound, cleaned or replaced.");
      }
      outcome
          .filter(o -> !inspected.outcome().equals(Optional.of(o)))
          .ifPresent(o -> outcomes.put(inspected.recordId(), o));
    }
    return outcomes;
  }
}

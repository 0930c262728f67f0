package dev.lonja.web.unit;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Outline;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.forecast.UnitPlan;
import dev.lonja.core.item.Item;
import dev.lonja.core.meter.JudgedReading;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.pour.LearnedCapacity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.Due;
import dev.lonja.core.service.DueRule;
import dev.lonja.core.service.Occurrence;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.core.service.Timing;
import dev.lonja.core.service.UnitFile;
import dev.lonja.core.service.UnitNeeds;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.store.Session;
import dev.lonja.store.fleet.ClassRepository;
import dev.lonja.store.fluid.SignOff;
import dev.lonja.store.service.RecordRepository;
import dev.lonja.web.due.DueExplanation;
import dev.lonja.web.due.DueRuler;
import dev.lonja.web.due.DueWording;
import dev.lonja.web.due.UnitRuler;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import dev.lonja.web.meter.RateWording;
import dev.lonja.web.meter.ReadingWording;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Builds the unit page from one consistent state. */
final class UnitPage {
  private static final int LATEST_READINGS = 8;

  private final Session session;
  private final Unit unit;
  private final LocalDate today;
  private final FleetPicture fleet;
  private final UnitPlan plan;
  private final UnitParts parts;
  private final UnitFile file;
  private final UnitNeeds variant;
  private final List<Task> variantTasks;
  private final DeviationWording wording;
  private final Map<TaskId, RecordRepository.Move> moves;

  UnitPage(Session session, Unit unit, LocalDate today) {
    this.session = session;
    this.unit = unit;
    this.today = today;
    this.fleet = FleetPicture.load(session, today);
    this.plan = fleet.planOf(unit, today.plusYears(FleetPicture.HORIZON_YEARS));
    this.file = fleet.files().get(unit.id());
    this.variant = fleet.variants().get(unit.variant().id());
    this.variantTasks = fleet.makers().getOrDefault(unit.id(), List.of());
    this.parts =
        new UnitParts(session, unit.code(), file.deviations(), file.needs().fills(), today);
    this.moves = session.records().moves().getOrDefault(unit.id(), Map.of());
    this.wording = new DeviationWording(session, variant, variantTasks);
  }

  UnitView view() {
    return new UnitView(
        unit.code(),
        unit.name(),
        unit.variant().display(),
        unit.unitClass().name(),
        Words.day(unit.inServiceOn(), today),
        new UnitView.EditForm(
            unit.unitClass().code(),
            unit.inServiceOn().toString(),
            session.classes().all().stream()
                .map(c -> choice(c.unitClass().code(), c.unitClass().name()))
                .toList()),
        drawing(),
        UnitRuler.draw(unit.code(), plan.occurrences(), today),
        DueRuler.scale(today, UnitRuler.WEEKS),
        plan.occurrences().stream().limit(5).map(this::occurrence).toList(),
        dues(),
        compartments(),
        plan.needs().positions().stream().map(parts::position).toList(),
        file.deviations().stream().map(deviation -> wording.row(deviation, today)).toList(),
        subjects(),
        proposals(),
        fleet.metersOf(unit).stream().map(this::meter).toList(),
        session.pours().ofUnit(unit.id()).stream().map(this::signature).toList(),
        today.toString(),
        unit.version());
  }

  private UnitView.Signature signature(SignOff signOff) {
    return new UnitView.Signature(
        Words.day(LocalDate.ofInstant(signOff.at(), session.settings().timeZone()), today),
        plan.needs().compartments().stream()
            .filter(c -> c.id().equals(signOff.compartmentId()))
            .map(Compartment::name)
            .findFirst()
            .orElse("a compartment that is gone"),
        session.items().byId(signOff.itemId()).map(Item::number).orElse(""),
        signOff.verdict(),
        "signed by " + signOff.signedBy() + ": " + signOff.why());
  }

  private List<UnitView.CompartmentRow> compartments() {
    List<UnitView.CompartmentRow> rows = new ArrayList<>();
    for (Compartment compartment : plan.needs().compartments()) {
      rows.add(
          parts.compartment(
              compartment,
              rows.size() + 1,
              plan.needs().positions(),
              fleet.tasks().get(unit.id()).stream()
                  .filter(standing -> changes(standing.task(), compartment))
                  .findFirst()
                  .map(this::due)));
    }
    return rows;
  }

  private static boolean changes(Task task, Compartment compartment) {
    return task.action() instanceof Task.Action.ChangeFluid change
        && change.compartmentId().equals(compartment.id());
  }

  private String drawing() {
    Outline outline =
        session
            .classes()
            .byCode(unit.unitClass().code())
            .map(ClassRepository.StoredClass::outline)
            .orElse(Outline.PLAIN);
    return SectionDrawing.draw(
        outline,
        plan.needs().compartments().stream()
            .map(c -> new SectionDrawing.Labelled(c, amount(c), "#compartment-" + c.id()))
            .toList(),
        "Side section of " + unit.code() + " with its compartments");
  }

  /** "9.60 L · 15W-40". */
  private static String amount(Compartment compartment) {
    return Stream.of(
            compartment
                .capacity(FillCondition.WITH_FILTER)
                .or(() -> compartment.capacity(FillCondition.WITHOUT_FILTER))
                .or(() -> compartment.capacity(FillCondition.DRY))
                .map(Volume::display)
                .orElse("not on file"),
            compartment.spec().shortText())
        .filter(words -> !words.isEmpty())
        .collect(Collectors.joining(" · "));
  }

  /** All that the variant has, also what is absent here. */
  private List<UnitView.Choice> subjects() {
    List<UnitView.Choice> choices = new ArrayList<>();
    variant.compartments().forEach(c -> choices.add(choice("compartment-" + c.id(), c.name())));
    variant.positions().forEach(p -> choices.add(choice("position-" + p.id(), p.name())));
    variantTasks.forEach(t -> choices.add(choice("task-" + t.id(), "Task: " + t.name())));
    return choices;
  }

  private List<UnitView.Proposal> proposals() {
    return LearnedCapacity.proposals(
            plan.needs().compartments(),
            session.records().fillsByUnit().getOrDefault(unit.id(), List.of()))
        .stream()
        .map(
            proposal ->
                new UnitView.Proposal(
                    proposal.compartment().id(),
                    proposal.condition().ordinal(),
                    proposal.compartment().name(),
                    proposal.condition().name().toLowerCase(Locale.ROOT),
                    proposal.condition().words(),
                    proposal.book().display(),
                    proposal.median().display(),
                    proposal.fills().stream()
                        .map(
                            fill ->
                                fill.volume().display()
                                    + " on "
                                    + Words.day(fill.day(), today)
                                    + " by "
                                    + fill.actor())
                        .toList()))
        .toList();
  }

  private static UnitView.Choice choice(String value, String words) {
    return new UnitView.Choice(value, words);
  }

  private UnitView.OccurrenceRow occurrence(Occurrence occurrence) {
    List<TaskId> tasks = occurrence.tasks().stream().map(t -> t.task().id()).toList();
    boolean first = occurrence.equals(plan.occurrences().get(0));
    var tray =
        session.trays().open().stream()
            .filter(open -> open.unitId().equals(unit.id()))
            .filter(open -> open.taskIds().stream().anyMatch(tasks::contains))
            .filter(open -> first || open.plannedOn().equals(occurrence.date()))
            .findFirst();
    return new UnitView.OccurrenceRow(
        Words.day(occurrence.date(), today),
        occurrence.date().toString(),
        occurrence.title(),
        occurrence.tasks().stream()
            .map(task -> task.task().name() + note(task))
            .collect(Collectors.joining(", ")),
        tray.map(open -> open.id()),
        tray.map(open -> open.number()).orElse(""),
        tray.isEmpty()
            && occurrence.tasks().stream()
                .noneMatch(task -> task.due().standing().origin().day().isAfter(today)));
  }

  private static String note(Occurrence.OccurrenceTask task) {
    if (task.due().cause().equals(Optional.of(Due.Cause.MOVED))) {
      return " (moved by hand)";
    }
    return task.pulledForward() ? " (pulled forward)" : "";
  }

  private List<UnitView.DueRow> dues() {
    return fleet.tasks().get(unit.id()).stream()
        .map(this::due)
        .sorted(
            Comparator.comparing((Due due) -> due.plannedDate().orElse(LocalDate.MAX))
                .thenComparing(due -> due.task().id()))
        .map(this::dueRow)
        .toList();
  }

  /** One that another task leads has its day from the plan. */
  private Due due(TaskStanding standing) {
    return plan.occurrences().stream()
        .flatMap(occurrence -> occurrence.tasks().stream())
        .filter(task -> task.task().id().equals(standing.task().id()))
        .filter(task -> task.task().timing() instanceof Timing.EveryNth)
        .findFirst()
        .map(Occurrence.OccurrenceTask::due)
        .orElseGet(() -> DueRule.due(standing, today, today.plusYears(FleetPicture.HORIZON_YEARS)));
  }

  private UnitView.DueRow dueRow(Due due) {
    Optional<Task> maker =
        variantTasks.stream().filter(task -> task.id().equals(due.task().id())).findFirst();
    return new UnitView.DueRow(
        due.task().id(),
        due.task().serviceName(),
        due.task().name(),
        DueWording.interval(due.task()),
        DueWording.limits(due, today),
        DueWording.lastDone(due.standing().origin(), today),
        DueWording.state(due, today),
        DueExplanation.of(fleet, due, maker, Optional.ofNullable(moves.get(due.task().id()))));
  }

  private UnitView.MeterBlock meter(MeterStanding meter) {
    List<JudgedReading> all = FleetPicture.judged(session, meter).log().readings();
    List<UnitView.ReadingRow> latest = new ArrayList<>();
    for (int i = all.size() - 1; i >= Math.max(0, all.size() - LATEST_READINGS); i--) {
      latest.add(reading(all.get(i)));
    }
    long silentDays = meter.silentDays(today);
    return new UnitView.MeterBlock(
        meter.file().meter().id(),
        meter.file().meter().name(),
        meter.file().meter().measure().symbol(),
        meter.expectedToShow(today).display(),
        meter.outlook().offset().isNone()
            ? ""
            : "life " + meter.outlook().on(today).rounded().display(),
        RateWording.words(meter.outlook().rate()),
        meter.isStale(today)
            ? Optional.of(State.note("silent for " + silentDays + " days"))
            : Optional.empty(),
        latest);
  }

  private UnitView.ReadingRow reading(JudgedReading judged) {
    return new UnitView.ReadingRow(
        Words.day(judged.reading().day(), today),
        judged.reading().value().display(),
        judged.flag().map(flag -> State.note(flag.name().toLowerCase())),
        judged.accepted() ? "" : ReadingWording.why(judged));
  }
}

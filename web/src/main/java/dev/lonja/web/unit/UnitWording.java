package dev.lonja.web.unit;

import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.inspection.ValueLimits;
import dev.lonja.core.item.Item;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.meter.JudgedMeter;
import dev.lonja.core.meter.JudgedReading;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.pour.LearnedCapacity;
import dev.lonja.core.service.Due;
import dev.lonja.core.service.InHand;
import dev.lonja.core.service.IntervalPolicy;
import dev.lonja.core.service.Occurrence;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.wanted.Finding;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.service.DueDesk;
import dev.lonja.desk.unit.FleetDesk;
import dev.lonja.desk.unit.UnitRecord;
import dev.lonja.store.fluid.SignOff;
import dev.lonja.store.tray.Tray;
import dev.lonja.web.due.DueExplanation;
import dev.lonja.web.due.DueRuler;
import dev.lonja.web.due.DueWording;
import dev.lonja.web.due.UnitRuler;
import dev.lonja.web.frame.Beside;
import dev.lonja.web.frame.DeedWording;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.WantedWording;
import dev.lonja.web.frame.Words;
import dev.lonja.web.meter.RateWording;
import dev.lonja.web.meter.ReadingWording;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Says in words what is on file of a unit. */
final class UnitWording {

  private static final int LATEST_READINGS = 8;
  private static final int NEXT_OCCURRENCES = 5;

  private final UnitRecord unit;
  private final LocalDate today;
  private final StoreClock clock;

  private UnitWording(UnitRecord unit, StoreClock clock) {
    this.unit = unit;
    this.today = clock.today();
    this.clock = clock;
  }

  static UnitView view(UnitRecord unit, StoreClock clock) {
    return new UnitWording(unit, clock).view();
  }

  static UnitView.Retired retired(FleetDesk.Retired retired, StoreClock clock) {
    Unit unit = retired.unit();
    LocalDate today = clock.today();
    return new UnitView.Retired(
        unit.code(),
        unit.name(),
        unit.variant().display(),
        "In service since "
            + Words.day(unit.inServiceOn(), today)
            + ". Retired on "
            + Words.day(retired.retiredOn(), today)
            + ".",
        retired.events().stream()
            .map(
                line ->
                    new UnitView.Event(
                        Words.day(clock.dayOf(line.at()), today),
                        DeedWording.of(line.deed()),
                        DeedWording.facts(line),
                        line.actor()))
            .toList());
  }

  private UnitView view() {
    Unit itself = unit.unit();
    return new UnitView(
        new UnitView.Head(
            itself.code(),
            itself.name(),
            itself.variant().display(),
            itself.unitClass().name(),
            Words.day(itself.inServiceOn(), today),
            unit.home(),
            itself.retiredOn().map(day -> Words.day(day, today))),
        new UnitView.EditForm(
            itself.unitClass().code(),
            itself.inServiceOn().toString(),
            unit.machine().classes().stream().map(c -> choice(c.code(), c.name())).toList(),
            itself.version()),
        new UnitView.Sketch(
            section(),
            UnitRuler.draw(itself.code(), unit.planned().occurrences(), today),
            DueRuler.scale(today, DueDesk.WEEKS)),
        new UnitView.Work(
            unit.planned().occurrences().stream()
                .limit(NEXT_OCCURRENCES)
                .map(this::occurrence)
                .toList(),
            dues(),
            unit.work().findings().stream().map(this::finding).toList(),
            unit.work().wanted() == 0
                ? ""
                : Words.count(unit.work().wanted(), "part", "parts") + " wanted"),
        machine(),
        unit.meters().stream().map(this::meter).toList(),
        unit.signOffs().stream().map(this::signature).toList(),
        today.toString());
  }

  private UnitView.FindingRow finding(Finding finding) {
    return new UnitView.FindingRow(
        finding.words(),
        Words.day(finding.foundOn(), today),
        WantedWording.state(finding.state()),
        finding.why());
  }

  private UnitView.Machine machine() {
    UnitParts parts = new UnitParts(unit, today);
    DeviationWording deviations = new DeviationWording(unit);
    return new UnitView.Machine(
        parts.compartments(),
        parts.positions(),
        unit.machine().file().deviations().stream().map(d -> deviations.row(d, today)).toList(),
        subjects(),
        unit.machine().learned().stream().map(this::proposal).toList());
  }

  private UnitView.Signature signature(SignOff signOff) {
    return new UnitView.Signature(
        Words.day(clock.dayOf(signOff.at()), today),
        unit.planned().needs().compartments().stream()
            .filter(c -> c.id().equals(signOff.compartmentId()))
            .map(Compartment::name)
            .findFirst()
            .orElse("a compartment that is gone"),
        unit.item(Optional.of(signOff.itemId())).map(Item::number).orElse(""),
        signOff.verdict(),
        "signed by " + signOff.signedBy() + ": " + signOff.why());
  }

  private String section() {
    return SectionDrawing.draw(
        unit.machine().outline(),
        unit.planned().needs().compartments().stream()
            .map(c -> new SectionDrawing.Labelled(c, amount(c), "#compartment-" + c.id()))
            .toList(),
        "Side section of " + unit.unit().code() + " with its compartments");
  }

  /** "9.60 L · 15W-40". */
  private static String amount(Compartment compartment) {
    return Stream.of(
            compartment
                .range(FillCondition.WITH_FILTER)
                .or(() -> compartment.range(FillCondition.WITHOUT_FILTER))
                .or(() -> compartment.range(FillCondition.DRY))
                .map(Capacity::display)
                .orElse("not on file"),
            compartment.spec().shortText())
        .filter(words -> !words.isEmpty())
        .collect(Collectors.joining(" · "));
  }

  /** All that the variant has, also what is absent here. */
  private List<UnitView.Choice> subjects() {
    UnitNeeds variant = unit.machine().variant();
    return Stream.of(
            variant.compartments().stream().map(c -> choice("compartment-" + c.id(), c.name())),
            variant.positions().stream().map(p -> choice("position-" + p.id(), p.name())),
            unit.work().makers().stream().map(t -> choice("task-" + t.id(), "Task: " + t.name())))
        .flatMap(Function.identity())
        .toList();
  }

  private UnitView.Proposal proposal(LearnedCapacity proposal) {
    return new UnitView.Proposal(
        proposal.compartment().id(),
        proposal.condition().ordinal(),
        proposal.compartment().name(),
        proposal.condition().name().toLowerCase(Locale.ROOT),
        proposal.condition().words(),
        proposal.book().display(),
        proposal.proposed().display(),
        proposal.fills().stream()
            .map(
                fill ->
                    fill.volume().display()
                        + " on "
                        + Words.day(fill.day(), today)
                        + " by "
                        + fill.actor())
            .toList());
  }

  private static UnitView.Choice choice(String value, String words) {
    return new UnitView.Choice(value, words);
  }

  private Optional<InHand> inHand(TaskId task) {
    return unit.planned().occurrences().stream()
        .flatMap(occurrence -> occurrence.inHand().stream())
        .filter(tray -> tray.taskIds().contains(task))
        .findFirst();
  }

  private UnitView.OccurrenceRow occurrence(Occurrence occurrence) {
    Optional<Tray> tray =
        occurrence
            .inHand()
            .flatMap(
                hand ->
                    unit.work().trays().stream()
                        .filter(t -> hand.taskIds().equals(Set.copyOf(t.taskIds())))
                        .findFirst());
    return new UnitView.OccurrenceRow(
        Words.day(occurrence.date(), today),
        occurrence.date().toString(),
        occurrence.title(),
        occurrence.tasks().stream()
            .map(task -> task.task().name() + note(task))
            .collect(Collectors.joining(", ")),
        tray.map(Tray::id),
        tray.map(Tray::number).orElse(""),
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
    return unit.work().dues().stream()
        .sorted(
            Comparator.comparing((Due due) -> due.plannedDate().orElse(LocalDate.MAX))
                .thenComparing(due -> due.task().id()))
        .map(this::dueRow)
        .toList();
  }

  private UnitView.DueRow dueRow(Due due) {
    TaskId id = due.task().id();
    Optional<Task> maker =
        unit.work().makers().stream().filter(task -> task.id().equals(id)).findFirst();
    return new UnitView.DueRow(
        id,
        due.task().serviceName(),
        due.task().name(),
        due.task().limits().map(ValueLimits::display).orElse(""),
        DueWording.interval(due.task()),
        DueWording.limits(due, today),
        DueWording.lastDone(due.standing().origin(), today),
        DueWording.state(due, inHand(due.task().id()), today),
        DueExplanation.of(
            unit.fleet(),
            IntervalPolicy.of(unit.machine().file().needs().ways().policies()),
            due,
            maker,
            Optional.ofNullable(unit.work().moves().get(id))));
  }

  private UnitView.MeterBlock meter(JudgedMeter judged) {
    MeterStanding meter = judged.standing();
    List<JudgedReading> all = judged.log().readings();
    List<UnitView.ReadingRow> latest = new ArrayList<>();
    for (int i = all.size() - 1; i >= Math.max(0, all.size() - LATEST_READINGS); i--) {
      latest.add(reading(all.get(i)));
    }
    return new UnitView.MeterBlock(
        meter.file().meter().id(),
        meter.file().meter().name(),
        meter.file().meter().measure().symbol(),
        Beside.of(meter.expectedToShow(today)),
        meter.outlook().offset().isNone()
            ? ""
            : "life " + meter.outlook().on(today).rounded().display(),
        RateWording.words(meter.outlook().rate()),
        meter.isStale(today)
            ? Optional.of(State.note("silent for " + meter.silentDays(today) + " days"))
            : Optional.empty(),
        latest);
  }

  private UnitView.ReadingRow reading(JudgedReading judged) {
    return new UnitView.ReadingRow(
        Words.day(judged.reading().day(), today),
        Beside.of(judged.reading().value()),
        judged.flag().map(flag -> State.note(ReadingWording.flag(flag))),
        judged.accepted() ? "" : ReadingWording.why(judged));
  }
}

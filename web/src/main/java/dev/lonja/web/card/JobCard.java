package dev.lonja.web.card;

import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.inspection.ValueLimits;
import dev.lonja.core.item.Item;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.meter.Meter;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.pour.FirstPour;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Torque;
import dev.lonja.core.quantity.TorqueRange;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.Task;
import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.Tightening;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.core.wanted.Finding;
import dev.lonja.desk.tray.TrayFile;
import dev.lonja.store.tray.Tray;
import dev.lonja.web.document.ScanCode;
import dev.lonja.web.fluid.HazardWording;
import dev.lonja.web.frame.Beside;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Words;
import dev.lonja.web.tray.MixWording;
import dev.lonja.web.tray.PackWording;
import dev.lonja.web.tray.TighteningWording;
import dev.lonja.web.tray.TrayWording;
import java.time.LocalDate;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Says in words what a mechanic needs to know of a job. */
final class JobCard {

  private final TrayFile file;
  private final LocalDate today;

  private JobCard(TrayFile file, LocalDate today) {
    this.file = file;
    this.today = today;
  }

  static JobCardView view(TrayFile file, LocalDate today) {
    return new JobCard(file, today).view();
  }

  private JobCardView view() {
    return new JobCardView(
        file.tray().id(),
        head(),
        ScanCode.dataMatrix(file.tray().number()),
        file.meters().stream().map(JobCard::meter).toList(),
        file.lines().stream()
            .filter(line -> line.step().line().reason() instanceof LineReason.Fill)
            .map(this::fluid)
            .toList(),
        file.lines().stream()
            .map(line -> line.step().line())
            .filter(line -> !(line.reason() instanceof LineReason.Fill))
            .map(this::part)
            .toList(),
        file.job().workedOn().stream().flatMap(place -> fastened(place).stream()).toList(),
        file.job().tasks().stream().map(JobCard::work).toList(),
        hints());
  }

  private JobCardView.Head head() {
    Tray tray = file.tray();
    return new JobCardView.Head(
        tray.unitCode().orElse(""),
        tray.title(),
        file.unit().map(JobCard::machine).orElse("Workshop supplies"),
        Words.whole(tray.handedOverOn().orElse(tray.plannedOn())),
        tray.number());
  }

  private static String machine(Unit unit) {
    return unit.name() + ", " + unit.variant().display();
  }

  private static JobCardView.MeterRow meter(MeterStanding standing) {
    Meter meter = standing.file().meter();
    return new JobCardView.MeterRow(
        meter.name(),
        meter.measure().symbol(),
        standing.lastAccepted().map(last -> Beside.of(last.shown())).orElse("never read"));
  }

  private JobCardView.FluidRow fluid(TrayFile.Line row) {
    TrayLine line = row.step().line();
    LineReason.Fill fill = (LineReason.Fill) line.reason();
    FirstPour pour = fill.firstPour();
    Item item = file.item(line);
    return new JobCardView.FluidRow(
        line.place(),
        fill.condition().words(),
        item.product().map(JobCard::drum).orElse(item.description()),
        item.number(),
        item.homeBin().address(),
        Beside.of(pour.pour()),
        pour.reserve().equals(Volume.ZERO) ? "" : Beside.of(pour.reserve()),
        new JobCardView.Level(
            pour.preFill().equals(Volume.ZERO) ? "" : Beside.of(pour.preFill()),
            Stream.of(
                    fill.mix().map(MixWording::of).orElse(""),
                    TrayWording.level(row),
                    PackWording.of(row.packs(), today))
                .filter(words -> !words.isEmpty())
                .collect(Collectors.joining(" "))),
        Beside.of(
            fill.mix()
                .map(mix -> line.wanted().plus(Quantity.of(mix.water())))
                .orElse(line.wanted())));
  }

  private static String drum(Product product) {
    Drum drum = Drum.of(product);
    return (product.name() + " " + drum.grade() + " " + drum.classes()).strip();
  }

  private JobCardView.PartRow part(TrayLine line) {
    Item item = file.item(line);
    String note = TrayWording.note(line.reason(), file.items());
    String used =
        line.stock().condition() == LotCondition.NEW
            ? ""
            : Words.capital(line.stock().condition().words()) + ". ";
    String leftOut = line.leftOut().map(why -> "Left out: " + why + ". ").orElse("");
    return new JobCardView.PartRow(
        line.place(),
        Beside.of(line.wanted()) + (line.wanted().measure() == Measure.PIECES ? " ×" : " of"),
        item.number(),
        item.description().equals(line.place()) ? "" : item.description(),
        (used + leftOut + greasing(line) + note + " " + TrayWording.inside(file, line)).strip(),
        line.positionId().flatMap(file.job().needs()::knownPosition).flatMap(SeatDrawing::of));
  }

  /** How often the gun is pressed at a grease point; empty for anything else. */
  private String greasing(TrayLine line) {
    return line.positionId()
        .flatMap(file.job().needs()::knownPosition)
        .flatMap(place -> place.strokes().map(s -> Words.strokes(place.quantity(), s) + ". "))
        .orElse("");
  }

  private Optional<JobCardView.TorqueRow> fastened(Position position) {
    return TighteningWording.of(file, position).map(way -> tightened(position.name(), way));
  }

  private static JobCardView.TorqueRow tightened(String place, Tightening way) {
    return TighteningWording.words(way)
        .map(words -> new JobCardView.TorqueRow(place, Optional.empty(), words, ""))
        .orElseGet(() -> row(place, ((Tightening.ByTorque) way).torque()));
  }

  private static JobCardView.TorqueRow row(String place, TorqueRange torque) {
    Torque shown = torque.setTo().orElse(torque.high());
    return new JobCardView.TorqueRow(
        place,
        torque.setTo().map(Torque::newtonMetres),
        torque.range().orElse(torque.setTo().isPresent() ? "" : torque.high().newtonMetres()),
        shown.poundFeet() + shown.poundInches().map(inches -> ", " + inches).orElse(""));
  }

  private static JobCardView.WorkRow work(Task task) {
    return new JobCardView.WorkRow(
        task.name(),
        task.inspects(),
        task.limits().map(ValueLimits::display).orElse(""),
        task.limits().map(limits -> limits.kind().symbol()).orElse(""),
        task.steps());
  }

  private JobCardView.Hints hints() {
    return new JobCardView.Hints(
        file.job().drives(),
        file.job().drained().stream()
            .filter(compartment -> !compartment.hint().isEmpty())
            .map(compartment -> compartment.name() + ": " + compartment.hint())
            .toList(),
        file.beside().findings().stream().map(this::found).toList(),
        HazardWording.lines(file.hazards()));
  }

  private String found(Finding finding) {
    return finding.words() + " (" + Words.day(finding.foundOn(), today) + ")";
  }
}

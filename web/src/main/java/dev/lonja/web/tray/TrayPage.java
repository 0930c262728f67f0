package dev.lonja.web.tray;

import dev.lonja.core.fleet.Position;
import dev.lonja.core.item.Item;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.tank.Dispenser;
import dev.lonja.core.tray.TaskOutcome;
import dev.lonja.core.tray.Tightening;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.core.tray.TrayProgress;
import dev.lonja.core.wanted.Finding;
import dev.lonja.desk.tray.Elsewhere;
import dev.lonja.desk.tray.FluidLine;
import dev.lonja.desk.tray.TrayFile;
import dev.lonja.store.tray.Tray;
import dev.lonja.web.crossref.CandidateWording;
import dev.lonja.web.fluid.FluidAdvice;
import dev.lonja.web.fluid.HazardWording;
import dev.lonja.web.frame.Beside;
import dev.lonja.web.frame.ComingWording;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.ElsewhereWording;
import dev.lonja.web.frame.GapWording;
import dev.lonja.web.frame.LineStates;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.WantedWording;
import dev.lonja.web.frame.WayWording;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Says in words what stands on a tray. */
final class TrayPage {

  private final TrayFile file;
  private final LocalDate today;

  private TrayPage(TrayFile file, LocalDate today) {
    this.file = file;
    this.today = today;
  }

  static TrayView view(TrayFile file, LocalDate today) {
    return new TrayPage(file, today).view();
  }

  private TrayView view() {
    Tray tray = file.tray();
    TrayProgress progress = file.onRack().progress();
    List<TrayView.LineRow> lines = file.lines().stream().map(this::line).toList();
    return new TrayView(
        tray.id(),
        new TrayView.Head(
            tray.number(),
            tray.unitCode().orElse(""),
            tray.title(),
            TraysView.when(tray, today),
            progress.laidCount() + " of " + progress.steps().size() + " laid",
            TraysView.state(file.onRack()),
            lines.stream()
                .filter(line -> !line.may().laid() && line.may().lay())
                .map(TrayView.LineRow::bin)
                .findFirst()
                .orElse("")),
        new TrayView.Standing(
            tray.isOpen(),
            progress.state() == TrayProgress.State.READY,
            tray.state() == Tray.State.HANDED_OVER,
            tray.state() == Tray.State.BACK,
            tray.handedOverOn().isPresent()
                && tray.unitId().isPresent()
                && file.lines().stream().anyMatch(this::isFilterOut),
            file.outdated(),
            tray.version()),
        lines,
        job(),
        file.meters().stream().map(this::meter).toList(),
        new TrayView.Missing(
            file.gaps().stream().map(GapWording::of).toList(),
            file.unit().map(unit -> "/fleet/variants/" + unit.variant().id()).orElse("")),
        file.came().stream().map(this::came).toList(),
        new TrayView.Beside(
            file.beside().findings().stream().map(this::finding).toList(),
            file.beside().wanted().stream().map(TrayPage::wanted).toList()));
  }

  private boolean isFilterOut(TrayFile.Line line) {
    return line.issued().out().isPositive() && file.item(line.step().line()).family().isFilter();
  }

  private TrayView.FindingRow finding(Finding finding) {
    return new TrayView.FindingRow(
        finding.words(),
        Words.day(finding.foundOn(), today),
        WantedWording.state(finding.state()),
        finding.why());
  }

  private static TrayView.WantedRow wanted(TrayFile.Wanted wanted) {
    return new TrayView.WantedRow(
        wanted.part().id(),
        wanted.part().quantity().display(),
        wanted.item().number(),
        wanted.item().description(),
        WantedWording.cause(wanted.part().cause()));
  }

  private TrayView.CameRow came(TrayFile.Came came) {
    if (came.outcome() instanceof TaskOutcome.NotDone not) {
      return new TrayView.CameRow(
          came.task(),
          State.note("not done"),
          not.why()
              + not.againOn()
                  .map(day -> "; asked for again on " + Words.day(day, today))
                  .orElse("; it stays due"));
    }
    return new TrayView.CameRow(
        came.task(),
        State.ready("done"),
        ((TaskOutcome.Done) came.outcome())
            .found()
            .map(found -> "found " + found.display())
            .orElse(""));
  }

  private Optional<TrayView.TorqueRow> tightened(Position position) {
    return TighteningWording.of(file, position)
        .map(
            way ->
                TighteningWording.words(way)
                    .orElseGet(() -> ((Tightening.ByTorque) way).torque().display()))
        .map(words -> new TrayView.TorqueRow(position.name(), words));
  }

  private TrayView.Job job() {
    return new TrayView.Job(
        file.job().workedOn().stream().flatMap(position -> tightened(position).stream()).toList(),
        file.job().drives(),
        file.job().drained().stream()
            .filter(compartment -> !compartment.hint().isEmpty())
            .map(compartment -> compartment.name() + ": " + compartment.hint())
            .toList(),
        HazardWording.lines(file.hazards()));
  }

  private TrayView.MeterRow meter(MeterStanding meter) {
    return new TrayView.MeterRow(
        meter.file().meter().id(),
        meter.file().meter().name(),
        meter.file().meter().measure().symbol(),
        Beside.of(meter.expectedToShow(today)));
  }

  private TrayView.LineRow line(TrayFile.Line line) {
    TrayLine asked = line.step().line();
    Item item = file.item(asked);
    return new TrayView.LineRow(
        asked.id(),
        item.id(),
        Stream.concat(line.barcodes().stream().map(TrayPage::code), Stream.of(item.key().text()))
            .collect(Collectors.joining(" ")),
        line.bin(),
        Plate.of(item),
        item.product().map(Drum::of),
        Beside.of(asked.wanted()),
        LineStates.of(line.step()),
        what(line),
        may(line, item));
  }

  /** " With Jug 3 and Funnel A."; nothing if nobody said with what. */
  private static String with(List<Dispenser> dispensers) {
    return dispensers.isEmpty()
        ? ""
        : dispensers.stream()
            .map(Dispenser::name)
            .collect(Collectors.joining(" and ", " With ", "."));
  }

  /** A code as a browser compares it: what of it counts, without blanks. */
  private static String code(String barcode) {
    return PartKey.of(barcode).map(PartKey::text).orElse("");
  }

  private TrayView.What what(TrayFile.Line line) {
    TrayLine asked = line.step().line();
    boolean replaced = asked.substitution().isPresent();
    return new TrayView.What(
        asked.place(),
        note(line),
        WayWording.behind(asked.ways()),
        onTheShelf(line.substitutes()),
        new TrayView.Fluid(
            line.fluid().map(FluidLineWording::words).orElse(""),
            line.fluid().filter(f -> file.tray().isOpen()).map(FluidLineWording::keeps).orElse(""),
            (PackWording.of(line.packs(), today) + with(line.with())).strip()),
        replaced ? file.items().get(asked.askedItemId()).number() : "",
        asked.substitution().map(TrayWording::why).orElse(""),
        asked.leftOut().orElse(""),
        line.issued().back().isPositive() ? line.issued().back().display() : "",
        asked.stock().condition() == LotCondition.NEW ? "" : asked.stock().condition().words());
  }

  private String note(TrayFile.Line asked) {
    TrayLine line = asked.step().line();
    String note =
        Stream.of(
                TrayWording.note(line.reason(), file.items()),
                TrayWording.inside(file, line),
                TrayWording.level(asked))
            .filter(words -> !words.isEmpty())
            .collect(Collectors.joining(" "));
    return Optional.ofNullable(file.beside().brought().get(line.id()))
        .map(cause -> note + " Wanted: " + WantedWording.cause(cause) + ".")
        .orElse(note)
        .strip();
  }

  /** What would do in its place, and what brings it. */
  private String onTheShelf(TrayFile.Instead instead) {
    return (shelf(instead)
            + instead.elsewhere().map(other -> " " + ElsewhereWording.has(other)).orElse("")
            + instead.coming().map(next -> " " + ComingWording.next(next, today)).orElse(""))
        .strip();
  }

  private static String shelf(TrayFile.Instead instead) {
    if (!instead.fluids().isEmpty()) {
      return "Instead: "
          + instead.fluids().stream()
              .map(FluidAdvice::fromTheShelf)
              .collect(Collectors.joining("; "))
          + ".";
    }
    return instead.part().map(CandidateWording::instead).orElse("");
  }

  /** Nothing where there is nothing to choose. */
  private static List<TrayView.Container> containers(TrayFile.Issued issued) {
    return issued.containers().size() < 2
        ? List.of()
        : issued.containers().stream()
            .map(
                one -> new TrayView.Container(one.issue(), one.code() + ", " + one.out().display()))
            .toList();
  }

  private TrayView.May may(TrayFile.Line line, Item item) {
    boolean laid = line.step().line().isLaid();
    boolean open = !line.step().line().isSettled();
    boolean handedOver = file.tray().handedOverOn().isPresent();
    return new TrayView.May(
        laid,
        line.step().state() == TrayProgress.LineState.TO_LAY
            && line.fluid().filter(FluidLine::lacksSignature).isEmpty(),
        open && item.measure() == Measure.PIECES,
        open && line.fluid().isPresent(),
        open,
        open && line.step().line().isServiceKit(),
        line.used().isPositive() ? line.used().display() : "",
        handedOver && line.issued().out().isPositive() ? line.issued().out().display() : "",
        handedOver ? containers(line.issued()) : List.of(),
        line.substitutes().elsewhere().map(other -> ask(other, item)));
  }

  private TrayView.Ask ask(Elsewhere other, Item item) {
    return new TrayView.Ask(
        other.place().toString(),
        file.tray().place().toString(),
        "ask-" + item.id(),
        other.amount().exactText(),
        "ask " + other.name() + " for " + other.amount().display());
  }
}

package dev.lonja.web.report;

import com.fasterxml.jackson.annotation.JsonInclude;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.inspection.Found;
import dev.lonja.core.inspection.InspectedValue;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.pour.FillLevel;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.tray.TaskOutcome;
import dev.lonja.core.wanted.Finding;
import dev.lonja.desk.service.RecordDesk;
import dev.lonja.desk.tray.TrayFile;
import dev.lonja.store.service.WorkLog;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A completion report as a machine reads it; {@code docs/formats.md} says what each field holds.
 * What a job does not have is absent.
 */
@JsonInclude(JsonInclude.Include.NON_EMPTY)
public record CompletionView(
    String tray,
    String title,
    Machine machine,
    LocalDate handedOverOn,
    String handedOverTo,
    LocalDate backOn,
    List<Reading> meters,
    List<TaskRow> tasks,
    Material material,
    List<String> findings) {

  /** The machine. */
  public record Machine(String code, String name, String model) {}

  /** What a meter stood at when the work was done. */
  public record Reading(BigDecimal life, String unit) {}

  /**
   * A task and what became of it.
   *
   * @param value that an inspection measured, with its unit
   * @param valueAfter what it was left at
   */
  @JsonInclude(JsonInclude.Include.NON_EMPTY)
  public record TaskRow(
      String task,
      String outcome,
      String found,
      String value,
      String valueAfter,
      String why,
      String againOn) {

    /** What an inspection found, in words; empty for other work. */
    public String foundWords() {
      return Stream.of(found, value, valueAfter)
          .filter(part -> !part.isEmpty())
          .collect(Collectors.joining(", "));
    }
  }

  /** What stayed on the machine. */
  @JsonInclude(JsonInclude.Include.NON_EMPTY)
  public record Material(List<PartRow> parts, List<FluidRow> fluids) {}

  /** A part, or a fluid as it left the shelf. */
  public record PartRow(
      String make,
      String number,
      String what,
      BigDecimal quantity,
      String unit,
      String condition,
      List<String> lots) {}

  /**
   * What was poured into a compartment.
   *
   * @param level how it stood then; empty if nobody read it
   */
  public record FluidRow(
      String compartment, BigDecimal litres, String number, String condition, String level) {}

  static CompletionView of(RecordDesk.JobRecord job, List<TrayFile.Came> came) {
    Unit unit = job.unit();
    return new CompletionView(
        job.tray().number(),
        job.tray().title(),
        new Machine(unit.code(), unit.name(), unit.variant().display()),
        job.tray().handedOverOn().orElseThrow(),
        job.entry().by(),
        job.entry().day(),
        job.entry().works().stream().flatMap(work -> reading(work).stream()).distinct().toList(),
        came.stream().map(CompletionView::task).toList(),
        new Material(
            job.entry().used().stream().map(CompletionView::part).toList(),
            Stream.concat(
                    job.entry().fills().stream().map(CompletionView::fluid),
                    job.entry().added().stream().map(CompletionView::fluid))
                .toList()),
        job.entry().found().stream().map(Finding::words).toList());
  }

  private static Optional<Reading> reading(WorkLog.Noted work) {
    return work.life()
        .map(life -> new Reading(BigDecimal.valueOf(life.tenths(), 1), life.measure().symbol()));
  }

  private static TaskRow task(TrayFile.Came came) {
    if (came.outcome() instanceof TaskOutcome.NotDone not) {
      return new TaskRow(
          came.task(),
          "not_done",
          "",
          "",
          "",
          not.why(),
          not.againOn().map(LocalDate::toString).orElse(""));
    }
    Optional<Found> found = ((TaskOutcome.Done) came.outcome()).found();
    return new TaskRow(
        came.task(),
        "done",
        found.map(f -> f.outcome().name().toLowerCase(Locale.ROOT)).orElse(""),
        found.flatMap(Found::value).map(InspectedValue::display).orElse(""),
        found.flatMap(Found::after).map(InspectedValue::display).orElse(""),
        "",
        "");
  }

  private static PartRow part(RecordDesk.Used used) {
    return new PartRow(
        used.item().make(),
        used.item().number(),
        used.item().description(),
        new BigDecimal(PlainDecimal.of(used.quantity().amount())),
        used.quantity().measure().symbol(),
        used.condition().words(),
        used.lots());
  }

  private static FluidRow fluid(RecordDesk.Filled filled) {
    return new FluidRow(
        filled.compartment(),
        filled.fill().volume().litres(),
        filled.item().number(),
        filled.fill().condition().words(),
        filled.fill().level().map(FillLevel::words).orElse(""));
  }

  private static FluidRow fluid(RecordDesk.Added added) {
    return new FluidRow(
        added.compartment(), added.litres().litres(), added.item().number(), "topped up", "");
  }

  /** The report as plain text, a line for each thing. */
  List<String> lines() {
    return Stream.of(
            Stream.of(
                "Completion report " + tray,
                machine.code() + ", " + machine.name() + ", " + machine.model(),
                title,
                "Handed over on " + handedOverOn + " to " + handedOverTo + ", back on " + backOn),
            meters.stream().map(m -> "Meter: " + m.life() + " " + m.unit()),
            block("Work", tasks.stream().map(CompletionView::words)),
            block(
                "Parts and fluids from the shelf",
                material.parts().stream().map(CompletionView::words)),
            block("Filled", material.fluids().stream().map(CompletionView::words)),
            block("Found", findings.stream()))
        .flatMap(lines -> lines)
        .toList();
  }

  private static Stream<String> block(String head, Stream<String> lines) {
    List<String> all = lines.map(line -> "  " + line).toList();
    return all.isEmpty() ? Stream.empty() : Stream.concat(Stream.of("", head), all.stream());
  }

  static String words(TaskRow row) {
    String end =
        row.outcome().equals("done")
            ? "done" + (row.found().isEmpty() ? "" : ", found " + row.foundWords())
            : "not done, "
                + row.why()
                + (row.againOn().isEmpty() ? "" : ", again on " + row.againOn());
    return row.task() + ": " + end;
  }

  static String words(PartRow row) {
    return PlainDecimal.of(row.quantity())
        + " "
        + row.unit()
        + " "
        + row.make()
        + " "
        + row.number()
        + ", "
        + row.what()
        + (row.condition().equals(LotCondition.NEW.words()) ? "" : ", " + row.condition())
        + ", lot "
        + String.join(", ", row.lots());
  }

  static String words(FluidRow row) {
    return row.compartment()
        + ": "
        + PlainDecimal.of(row.litres())
        + " L "
        + row.number()
        + ", "
        + row.condition()
        + (row.level().isEmpty() ? "" : ", level " + row.level());
  }
}

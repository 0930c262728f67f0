package dev.lonja.web.unit;

import dev.lonja.core.inspection.InspectionOutcome;
import dev.lonja.core.meter.Meter;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.service.WorkDesk;
import dev.lonja.store.service.WorkLog;
import dev.lonja.web.frame.Words;
import dev.lonja.web.meter.MeterEntry;
import dev.lonja.web.request.Typed;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** The form of work without a tray: shown, and read. */
final class WorkForm {

  static final String DAY = "day";
  static final String DONE = "done";
  private static final String TASK = "task-";
  private static final String FOUND = "found-";
  private static final Map<String, InspectionOutcome> FINDINGS = findings();

  private final WorkDesk.Sheet sheet;

  WorkForm(WorkDesk.Sheet sheet) {
    this.sheet = sheet;
  }

  private static Map<String, InspectionOutcome> findings() {
    Map<String, InspectionOutcome> byWord = new LinkedHashMap<>();
    for (InspectionOutcome outcome : InspectionOutcome.values()) {
      byWord.put(outcome.name().toLowerCase(Locale.ROOT), outcome);
    }
    return byWord;
  }

  static String taskField(TaskId id) {
    return TASK + id;
  }

  WorkView view(LocalDate today) {
    Map<String, List<WorkView.TaskField>> services = new LinkedHashMap<>();
    for (Task task : sheet.tasks()) {
      services
          .computeIfAbsent(task.serviceName(), name -> new ArrayList<>())
          .add(
              new WorkView.TaskField(
                  taskField(task.id()), task.name(), inspects(task) ? FOUND + task.id() : ""));
    }
    return new WorkView(
        sheet.unit().code(),
        sheet.unit().name(),
        today.toString(),
        sheet.meters().stream().map(WorkForm::meter).toList(),
        services.entrySet().stream()
            .map(entry -> new WorkView.Service(entry.getKey(), entry.getValue()))
            .toList(),
        sheet.latest().stream().map(noted -> row(noted, today)).toList());
  }

  private static boolean inspects(Task task) {
    return task.action() instanceof Task.Action.Inspect;
  }

  private static WorkView.MeterField meter(MeterStanding standing) {
    Meter meter = standing.file().meter();
    return new WorkView.MeterField(
        MeterEntry.field(meter.id()), meter.name() + " meter showed, " + meter.measure().symbol());
  }

  private static WorkView.Row row(WorkLog.Noted noted, LocalDate today) {
    return new WorkView.Row(
        noted.id(),
        Words.day(noted.doneOn(), today),
        noted.task(),
        noted.life().map(MeterValue::display).orElse(""),
        noted.tray().orElse(noted.note()),
        noted.actor(),
        noted.tray().isEmpty());
  }

  /** Empty, with the problems noted, if it cannot be read. */
  Optional<WorkDesk.Work> read(Map<String, String> fields, Typed typed) {
    Optional<LocalDate> day = typed.day(DAY, fields.getOrDefault(DAY, ""));
    Map<MeterId, MeterValue> meters = new HashMap<>();
    for (MeterStanding standing : sheet.meters()) {
      Meter meter = standing.file().meter();
      String field = MeterEntry.field(meter.id());
      String text = fields.getOrDefault(field, "").strip();
      if (!text.isEmpty()) {
        MeterEntry.value(typed, field, "The meter reading", text, meter.measure())
            .ifPresent(value -> meters.put(meter.id(), value));
      }
    }
    Map<TaskId, Optional<InspectionOutcome>> done = new HashMap<>();
    for (Task task : sheet.tasks()) {
      if (fields.getOrDefault(taskField(task.id()), "").equals("yes")) {
        String found = FOUND + task.id();
        done.put(task.id(), typed.choiceOrNone(found, fields.getOrDefault(found, ""), FINDINGS));
      }
    }
    Optional<String> note =
        typed.text(
            "note",
            "Where and by whom it was done",
            fields.getOrDefault("note", ""),
            Lengths.REASON);
    return typed.all(() -> new WorkDesk.Work(day.orElseThrow(), meters, done, note.orElseThrow()));
  }
}

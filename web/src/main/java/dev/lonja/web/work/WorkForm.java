package dev.lonja.web.work;

import dev.lonja.core.inspection.Found;
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
import dev.lonja.web.inspection.FoundEntry;
import dev.lonja.web.inspection.FoundWording;
import dev.lonja.web.meter.MeterEntry;
import dev.lonja.web.request.Typed;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The form of work without a tray: shown, and read. */
final class WorkForm {

  static final String DAY = "day";
  static final String DONE = "done";
  private static final String TASK = "task-";
  private static final String FOUND = "found-";

  private final WorkDesk.Sheet sheet;

  WorkForm(WorkDesk.Sheet sheet) {
    this.sheet = sheet;
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
                  taskField(task.id()),
                  task.name(),
                  task.inspects() ? FOUND + task.id() : "",
                  entry(task).values(),
                  task.inspects() ? entry(task).choices() : List.of()));
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

  private static FoundEntry entry(Task task) {
    return new FoundEntry(FOUND + task.id(), task);
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
        noted.task() + noted.found().map(found -> ": " + found.display()).orElse(""),
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
    Map<TaskId, Optional<Found>> done = new HashMap<>();
    for (Task task : sheet.tasks()) {
      if (fields.getOrDefault(taskField(task.id()), "").equals("yes")) {
        done.put(task.id(), entry(task).read(fields, typed));
      } else if (entry(task).hasValue(fields)) {
        typed.refuse(taskField(task.id()), "A value stands here; tick what was done.");
      }
    }
    Optional<String> note =
        typed.text(
            "note",
            "Where and by whom it was done",
            fields.getOrDefault("note", ""),
            Lengths.REASON);
    return typed.all(
        () ->
            new WorkDesk.Work(
                day.orElseThrow(), meters, done, note.orElseThrow(), outOfLimits(done)));
  }

  private List<String> outOfLimits(Map<TaskId, Optional<Found>> done) {
    return sheet.tasks().stream()
        .flatMap(
            task ->
                done.getOrDefault(task.id(), Optional.empty()).stream()
                    .flatMap(found -> FoundWording.outOfLimits(task, found).stream()))
        .toList();
  }
}

package dev.lonja.web.work;

import dev.lonja.core.meter.Meter;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.service.WorkDesk;
import dev.lonja.web.due.DueWording;
import dev.lonja.web.meter.MeterEntry;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Typed;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The form on which is said when each task of a machine was last done: shown, and read. */
final class LastDoneForm {

  private final WorkDesk.Sheet sheet;
  private final List<WorkDesk.LastDone> told = new ArrayList<>();

  LastDoneForm(WorkDesk.Sheet sheet) {
    this.sheet = sheet;
  }

  private static String field(Task task, String what) {
    return "last-" + task.id() + what;
  }

  LastDoneView view(LocalDate today) {
    Map<String, List<LastDoneView.TaskRow>> services = new LinkedHashMap<>();
    for (TaskStanding standing : sheet.standings()) {
      services
          .computeIfAbsent(standing.task().serviceName(), name -> new ArrayList<>())
          .add(row(standing, today));
    }
    return new LastDoneView(
        sheet.unit().code(),
        sheet.unit().name(),
        sheet.unit().variant().id(),
        sheet.unit().inServiceOn().toString(),
        services.entrySet().stream()
            .map(entry -> new LastDoneView.Service(entry.getKey(), entry.getValue()))
            .toList());
  }

  private LastDoneView.TaskRow row(TaskStanding standing, LocalDate today) {
    Task task = standing.task();
    return new LastDoneView.TaskRow(
        task.name(),
        DueWording.interval(task),
        DueWording.lastDone(standing.origin(), today),
        field(task, ""),
        field(task, "-day"),
        field(task, "-shown"),
        meter(task).map(meter -> meter.name() + ", " + meter.measure().symbol()).orElse(""));
  }

  private Optional<Meter> meter(Task task) {
    return sheet.meters().stream()
        .map(MeterStanding::file)
        .map(file -> file.meter())
        .filter(meter -> task.meterId().filter(meter.id()::equals).isPresent())
        .findFirst();
  }

  /** Rows that say something; a task of which nothing is said is left as it stands. */
  List<WorkDesk.LastDone> read(Map<String, String> fields, Typed typed) {
    told.clear();
    for (Task task : sheet.tasks()) {
      String day = fields.getOrDefault(field(task, "-day"), "").strip();
      String shown = fields.getOrDefault(field(task, "-shown"), "").strip();
      if (!day.isEmpty() || !shown.isEmpty()) {
        row(typed, task, day, shown).ifPresent(told::add);
      }
    }
    return told;
  }

  private Optional<WorkDesk.LastDone> row(Typed typed, Task task, String day, String shown) {
    if (day.isEmpty()) {
      typed.refuse(field(task, "-day"), "Say on which day it showed " + shown + ".");
      return Optional.empty();
    }
    Optional<LocalDate> on = typed.day(field(task, "-day"), day);
    Optional<Meter> meter = meter(task);
    Optional<MeterValue> value =
        shown.isEmpty() || meter.isEmpty()
            ? Optional.empty()
            : MeterEntry.value(
                typed, field(task, "-shown"), "The meter reading", shown, meter.get().measure());
    return on.map(last -> new WorkDesk.LastDone(task.id(), last, value));
  }

  static Optional<String> note(Map<String, String> fields, Typed typed) {
    return typed.text(
        "note", "Where this is known from", fields.getOrDefault("note", ""), Lengths.REASON);
  }

  /** Why the desk refused, each at its row. */
  RefusalWording refusals() {
    return RefusalWording.of(
            WorkDesk.Bad.class,
            bad ->
                new Problem(
                    "last-" + told.get(bad.line()).task(),
                    WorkRefusals.WORDS.problem(bad.why()).text()))
        .and(WorkRefusals.WORDS);
  }
}

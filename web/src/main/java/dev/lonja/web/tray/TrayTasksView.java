package dev.lonja.web.tray;

import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.desk.tray.TrayTasksDesk;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.List;

/**
 * The tasks of an open tray, to be split off, and those that may join.
 *
 * @param own none if there is only one
 */
public record TrayTasksView(List<Row> own, List<Row> more) {

  /**
   * A task.
   *
   * @param when it is planned; empty for one of the tray's own
   */
  public record Row(TaskId id, String words, String when) {}

  static TrayTasksView of(TrayTasksDesk.Choice choice, LocalDate today) {
    return new TrayTasksView(
        choice.own().size() < 2 ? List.of() : choice.own().stream().map(t -> row(t, "")).toList(),
        choice.more().entrySet().stream()
            .map(entry -> row(entry.getKey(), Words.day(entry.getValue(), today)))
            .toList());
  }

  private static Row row(Task task, String when) {
    return new Row(task.id(), task.serviceName() + ": " + task.name(), when);
  }
}

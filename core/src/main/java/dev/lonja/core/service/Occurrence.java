package dev.lonja.core.service;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Tasks of one unit that are done together on one day.
 *
 * @param tasks at least one; the first was due that day and set it, unless a tray did
 * @param inHand the tray that stands for it
 */
public record Occurrence(LocalDate date, List<OccurrenceTask> tasks, Optional<InHand> inHand) {

  /** A task within an occurrence, with whether it was pulled forward to it. */
  public record OccurrenceTask(Due due, boolean pulledForward) {

    public Task task() {
      return due.task();
    }
  }

  public Occurrence {
    tasks = List.copyOf(tasks);
    if (tasks.isEmpty()) {
      throw new IllegalArgumentException("tasks is empty; allowed is one or more");
    }
  }

  /** An occurrence for which nothing is laid yet. */
  public Occurrence(LocalDate date, List<OccurrenceTask> tasks) {
    this(date, tasks, Optional.empty());
  }

  /** True if its tray has been handed over, so that it takes nothing more from the shelf. */
  public boolean isOut() {
    return inHand.filter(InHand::out).isPresent();
  }

  /** Those of its tasks that were left for too long. */
  public Set<TaskId> neglected() {
    return tasks.stream()
        .filter(task -> Neglect.is(task.due()))
        .map(task -> task.task().id())
        .collect(Collectors.toUnmodifiableSet());
  }

  /** The names of the services its tasks belong to, each once: "Small service + Gearbox oil". */
  public String title() {
    return title(tasks.stream().map(OccurrenceTask::task).toList());
  }

  /** The names of the services that tasks belong to, each once. */
  public static String title(List<Task> tasks) {
    return tasks.stream().map(Task::serviceName).distinct().collect(Collectors.joining(" + "));
  }

  /** The first of its tasks that is overdue; if none is, the one that set its day. */
  public Due leading() {
    return tasks.stream()
        .map(OccurrenceTask::due)
        .filter(Due::isOverdue)
        .findFirst()
        .orElse(tasks.get(0).due());
  }
}

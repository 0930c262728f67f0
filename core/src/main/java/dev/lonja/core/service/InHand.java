package dev.lonja.core.service;

import java.time.LocalDate;
import java.util.Set;

/**
 * Tasks of one unit that a tray stands for: from laying to take-back it is the next occurrence of
 * each of them, and nothing else is planned for them before.
 *
 * @param plannedOn the day the tray is laid for; once that is past, the work is expected today
 * @param out true from the hand-over on: what the work takes has left the shelf
 */
public record InHand(Set<TaskId> taskIds, LocalDate plannedOn, boolean out) {

  public InHand {
    taskIds = Set.copyOf(taskIds);
  }

  /** The day the work is expected on, seen from {@code today}. */
  public LocalDate on(LocalDate today) {
    return plannedOn.isAfter(today) && !out ? plannedOn : today;
  }
}

package dev.lonja.core.service;

import dev.lonja.core.quantity.RowNumber;

/** The number of a task of a service, 1 or more; what is not stored yet has none. */
public record TaskId(long value) implements Comparable<TaskId> {

  public TaskId {
    RowNumber.check("task", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static TaskId valueOf(String digits) {
    return new TaskId(Long.parseLong(digits));
  }

  @Override
  public int compareTo(TaskId other) {
    return Long.compare(value, other.value);
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

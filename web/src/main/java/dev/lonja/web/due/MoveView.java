package dev.lonja.web.due;

import java.util.List;

/**
 * What moving one occurrence does to the plan of its unit.
 *
 * @param day the planned day as a date, for the form
 * @param to the day asked for, as typed
 * @param rows empty until there is a day to look at
 * @param moved whether a person has moved it already
 */
record MoveView(
    String code,
    String title,
    String day,
    String planned,
    String to,
    boolean moved,
    List<Row> rows) {

  /** A task whose next day changes, or that is moved; {@code warning} is empty if there is none. */
  record Row(String task, String before, String after, String what, String warning) {}
}

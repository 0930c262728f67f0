package dev.lonja.web.due;

import dev.lonja.core.service.TaskId;
import dev.lonja.web.frame.State;
import java.util.List;

/**
 * What falls due on all units, week by week, or by unit.
 *
 * @param earlier leads to the part of the list before this one; empty in the first
 * @param later leads to the part after it; empty in the last
 */
public record DueView(
    String summary,
    String earlier,
    String later,
    String scale,
    List<Choice> classes,
    List<Choice> sorts,
    List<Choice> shows,
    List<Week> weeks) {

  /** A filter or order that may be chosen; {@code query} leads to it. */
  public record Choice(String words, String query, boolean chosen) {}

  /**
   * One occurrence.
   *
   * @param taskId the task that sets its day, to open it on the unit page
   * @param limits what sets its day
   */
  public record Row(
      Day day,
      String unit,
      String title,
      String tasks,
      TaskId taskId,
      String limits,
      String ruler,
      State state,
      boolean noRecord) {}

  /** Its day in words and as a date; {@code span} is "10 Mar – 2 Apr", where it can be said. */
  public record Day(String words, String date, String span) {}

  /**
   * A week of the calendar; a list that does not go by day is one without a name.
   *
   * @param from its Monday
   */
  public record Week(String name, String from, List<Row> rows) {}
}

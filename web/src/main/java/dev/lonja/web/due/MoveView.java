package dev.lonja.web.due;

import dev.lonja.core.service.Occurrence;
import dev.lonja.desk.service.MoveDesk;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/**
 * What moving one occurrence does to the plan of its unit.
 *
 * @param day the planned day as a date, for the form
 * @param to the day asked for, as typed
 * @param rows empty until there is a day to look at
 * @param moved whether a person has moved it already
 */
public record MoveView(
    String code,
    String title,
    String day,
    String planned,
    String to,
    boolean moved,
    List<Row> rows) {

  /** A task whose next day changes, or that is moved; {@code warning} is empty if there is none. */
  public record Row(String task, String before, String after, String what, String warning) {}

  static MoveView of(MoveDesk.Movable movable, String to, LocalDate today) {
    Occurrence occurrence = movable.occurrence();
    return new MoveView(
        movable.unit().code(),
        occurrence.title(),
        occurrence.date().toString(),
        Words.day(occurrence.date(), today),
        to,
        movable.isMoved(),
        movable.changes().stream().map(change -> row(change, today)).toList());
  }

  private static Row row(MoveDesk.Change change, LocalDate today) {
    List<String> past = new ArrayList<>();
    change.pastMeter().ifPresent(over -> past.add(over.display()));
    change.pastDays().ifPresent(days -> past.add(Words.count(days, "day", "days")));
    return new Row(
        change.task().name(),
        Words.day(change.before(), today),
        Words.day(change.after(), today),
        switch (change.way()) {
          case MOVED -> "moved";
          case COMES_ALONG -> "comes along";
          case ON_ITS_OWN -> "comes on its own day";
        },
        past.isEmpty() ? "" : "past its limit by " + String.join(", ", past));
  }
}

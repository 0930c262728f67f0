package dev.lonja.desk.clock;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/** The days that the rack has a shelf for. */
public final class WorkingDays {

  private static final int SHELVES = 5;

  private WorkingDays() {}

  /** The next five from a day on, that day included if it is one. */
  public static List<LocalDate> from(LocalDate first) {
    List<LocalDate> days = new ArrayList<>();
    for (LocalDate day = first; days.size() < SHELVES; day = day.plusDays(1)) {
      if (day.getDayOfWeek() != DayOfWeek.SATURDAY && day.getDayOfWeek() != DayOfWeek.SUNDAY) {
        days.add(day);
      }
    }
    return days;
  }
}

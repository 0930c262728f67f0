package dev.lonja.core.forecast;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.IsoFields;
import java.time.temporal.TemporalAdjusters;

/** A week by ISO 8601, held as its Monday; week 1 holds the year's first Thursday. */
public record IsoWeek(LocalDate monday) implements Comparable<IsoWeek> {

  private static final int DAYS = 7;

  public IsoWeek {
    if (monday.getDayOfWeek() != DayOfWeek.MONDAY) {
      throw new IllegalArgumentException("monday is " + monday + "; allowed is a Monday");
    }
  }

  /** The week that holds a day, by ISO 8601: weeks begin on Monday. */
  public static IsoWeek of(LocalDate day) {
    return new IsoWeek(day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)));
  }

  /** The week so many later; earlier if below zero. */
  public IsoWeek plusWeeks(int weeks) {
    return new IsoWeek(monday.plusWeeks(weeks));
  }

  /** Its last day. */
  public LocalDate sunday() {
    return monday.plusDays(DAYS - 1);
  }

  /** Its number in its year, 1 to 53. */
  public int number() {
    return monday.get(IsoFields.WEEK_OF_WEEK_BASED_YEAR);
  }

  /** "2027-W11". */
  public String display() {
    return String.format("%04d-W%02d", monday.get(IsoFields.WEEK_BASED_YEAR), number());
  }

  @Override
  public int compareTo(IsoWeek other) {
    return monday.compareTo(other.monday);
  }
}

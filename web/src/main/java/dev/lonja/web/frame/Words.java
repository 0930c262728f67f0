package dev.lonja.web.frame;

import dev.lonja.core.quantity.Thousands;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;

/** How days and counts are written for people. */
public final class Words {

  private static final int YEAR_DAYS = 365;
  private static final int MONTHS_FROM = 60;

  private static final DateTimeFormatter WEEKDAY_AND_DAY = format("EEE d");
  private static final DateTimeFormatter WEEKDAY = format("EEE");
  private static final DateTimeFormatter DAY_AND_MONTH = format("d MMM");
  private static final DateTimeFormatter DAY_MONTH_YEAR = format("d MMM yyyy");
  private static final DateTimeFormatter WHOLE = format("EEEE yyyy-MM-dd");

  private Words() {}

  /** "Tue 16". */
  public static String weekdayAndDay(LocalDate day) {
    return WEEKDAY_AND_DAY.format(day);
  }

  /** "Tue". */
  public static String weekday(LocalDate day) {
    return WEEKDAY.format(day);
  }

  /** "16 Mar", with the year if it is another than that of {@code today}. */
  public static String day(LocalDate day, LocalDate today) {
    return (day.getYear() == today.getYear() ? DAY_AND_MONTH : DAY_MONTH_YEAR).format(day);
  }

  /** "Monday 2027-03-15". */
  public static String whole(LocalDate day) {
    return WHOLE.format(day);
  }

  /** The machine that something is for, or "workshop". */
  public static String whom(Optional<String> unitCode) {
    return unitCode.orElse("workshop");
  }

  /** "1 day", "4 days", "1,815 days". */
  public static String count(long number, String one, String many) {
    return Thousands.apart(number) + " " + (number == 1 ? one : many);
  }

  /**
   * How long something keeps: "45 days", "6 months", "4 years 11 months", "5 years". A year has 365
   * days, a month a twelfth of it, rounded; below 60 days they are counted.
   */
  public static String keeps(int days) {
    if (days < MONTHS_FROM) {
      return count(days, "day", "days");
    }
    long months = Math.round(days * 12.0 / YEAR_DAYS);
    String years = months < 12 ? "" : count(months / 12, "year", "years");
    String rest = months % 12 == 0 ? "" : count(months % 12, "month", "months");
    return (years + " " + rest).strip();
  }

  /** "3 points, 2 strokes each", "1 point, 4 strokes". */
  public static String strokes(int points, int strokes) {
    return count(points, "point", "points")
        + ", "
        + count(strokes, "stroke", "strokes")
        + (points == 1 ? "" : " each");
  }

  /** "1st", "2nd", "3rd", "11th". */
  public static String ordinal(int number) {
    boolean teen = number % 100 / 10 == 1;
    String end =
        switch (teen ? 0 : number % 10) {
          case 1 -> "st";
          case 2 -> "nd";
          case 3 -> "rd";
          default -> "th";
        };
    return number + end;
  }

  /** Words as they begin a sentence. */
  public static String capital(String words) {
    return Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }

  private static DateTimeFormatter format(String pattern) {
    return DateTimeFormatter.ofPattern(pattern, Locale.ENGLISH);
  }
}

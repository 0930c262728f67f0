package dev.lonja.web.fleet;

import dev.lonja.web.frame.Svg;
import dev.lonja.web.frame.Words;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;

/**
 * Draws a unit's occurrences on a ruler of the coming weeks: a tick a week, a post a planned day,
 * the edge at the left is today.
 */
final class DueRuler {

  private static final int WIDTH = 420;
  private static final int HEIGHT = 34;
  private static final int BASE = 24;
  private static final int LEFT = 6;
  private static final int RIGHT = 6;

  /** Something planned on a day. */
  record Post(LocalDate day, boolean overdue) {}

  private DueRuler() {}

  static String draw(LocalDate today, int weeks, List<Post> posts, String title) {
    LocalDate end = today.plusWeeks(weeks);
    Svg svg = new Svg(WIDTH, HEIGHT, title);
    svg.line(LEFT, BASE, WIDTH - RIGHT, BASE, "stroke=\"#0e2b33\" stroke-width=\"1.6\"");
    svg.line(LEFT, 4, LEFT, HEIGHT - 2, "stroke=\"#0e2b33\" stroke-width=\"2.4\"");
    for (LocalDate day = today.plusDays(1); day.isBefore(end); day = day.plusDays(1)) {
      boolean month = day.getDayOfMonth() == 1;
      if (month || day.getDayOfWeek() == DayOfWeek.MONDAY) {
        double x = x(today, end, day);
        svg.line(x, BASE, x, BASE + (month ? 9 : 4), "stroke=\"#44606a\" stroke-width=\"1\"");
      }
    }
    for (Post post : posts) {
      if (!post.day().isAfter(end)) {
        double x = x(today, end, post.day());
        String colour = post.overdue() ? "#b8361c" : "#0b6573";
        svg.rect(x - 3, 7, 6, BASE - 7, "fill=\"" + colour + "\"");
      }
    }
    return svg.done();
  }

  static String scale(LocalDate today, int weeks) {
    return "Ruler: today to "
        + Words.day(today.plusWeeks(weeks), today)
        + ", a tick a week, long at the first of a month";
  }

  private static double x(LocalDate today, LocalDate end, LocalDate day) {
    double share =
        (double) ChronoUnit.DAYS.between(today, day) / ChronoUnit.DAYS.between(today, end);
    return LEFT + share * (WIDTH - LEFT - RIGHT);
  }
}

package dev.lonja.web.due;

import dev.lonja.core.service.DueSpread;
import dev.lonja.web.frame.Svg;
import dev.lonja.web.frame.Words;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;

/**
 * Draws a unit's occurrences on a ruler of the coming weeks: a tick a week, a post a planned day, a
 * bar from P10 to P90 behind it; the edge at the left is today.
 */
public final class DueRuler {

  private static final int WIDTH = 420;
  private static final int HEIGHT = 34;
  private static final int BASE = 24;
  private static final int LEFT = 6;
  private static final int RIGHT = 6;

  private final LocalDate today;
  private final LocalDate end;
  private final String ticks;

  /** A ruler of so many weeks from today, on which one unit after the other can be drawn. */
  DueRuler(LocalDate today, int weeks) {
    this.today = today;
    this.end = today.plusWeeks(weeks);
    this.ticks = ticks();
  }

  String draw(List<Post> posts, String title) {
    Svg svg = new Svg(WIDTH, HEIGHT, title);
    posts.forEach(post -> bar(svg, post));
    svg.line(LEFT, BASE, WIDTH - RIGHT, BASE, "stroke=\"#0e2b33\" stroke-width=\"1.6\"");
    svg.line(LEFT, 4, LEFT, HEIGHT - 2, "stroke=\"#0e2b33\" stroke-width=\"2.4\"");
    svg.path(ticks, "stroke=\"#44606a\" stroke-width=\"1\"");
    posts.forEach(post -> post(svg, post));
    return svg.done();
  }

  /** Something planned on a day, with how sure that day is where it can be said. */
  record Post(LocalDate day, boolean overdue, Optional<DueSpread> spread) {}

  public static String scale(LocalDate today, int weeks) {
    return "Ruler: today to "
        + Words.day(today.plusWeeks(weeks), today)
        + ", a tick a week, long at the first of a month; post: planned day, bar: P10 to P90";
  }

  /** All ticks as one path: a page has the ruler a hundred times. */
  private String ticks() {
    Svg.Path path = new Svg.Path();
    for (LocalDate day = today.plusDays(1); day.isBefore(end); day = day.plusDays(1)) {
      boolean month = day.getDayOfMonth() == 1;
      if (month || day.getDayOfWeek() == DayOfWeek.MONDAY) {
        path.moveTo(x(day), BASE).lineTo(x(day), BASE + (month ? 9 : 4));
      }
    }
    return path.data();
  }

  /** Open to the right if nine chances in ten lie beyond the ruler. */
  private void bar(Svg svg, Post post) {
    Optional<LocalDate> from = post.spread().flatMap(DueSpread::p10);
    if (from.isEmpty() || from.get().isAfter(end)) {
      return;
    }
    LocalDate to = post.spread().flatMap(DueSpread::p90).filter(end::isAfter).orElse(end);
    double width = Math.max(2, x(to) - x(from.get()));
    svg.rect(x(from.get()), 12, width, BASE - 12, "fill=\"#9fc3c6\"");
  }

  private void post(Svg svg, Post post) {
    if (!post.day().isAfter(end)) {
      String colour = post.overdue() ? "#b8361c" : "#0b6573";
      svg.rect(x(post.day()) - 3, 7, 6, BASE - 7, "fill=\"" + colour + "\"");
    }
  }

  private double x(LocalDate day) {
    double share =
        (double) ChronoUnit.DAYS.between(today, day) / ChronoUnit.DAYS.between(today, end);
    return LEFT + share * (WIDTH - LEFT - RIGHT);
  }
}

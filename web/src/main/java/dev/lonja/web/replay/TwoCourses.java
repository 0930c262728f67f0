package dev.lonja.web.replay;

import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.replay.Course;
import dev.lonja.web.frame.Svg;
import java.time.format.TextStyle;
import java.util.List;
import java.util.Locale;

/**
 * Draws what lay there at the ends of the weeks, as it was and as it would have been; a week that
 * ended with something owed hangs below the line.
 */
final class TwoCourses {

  private static final int WIDTH = 1000;
  private static final int HEIGHT = 240;
  private static final int LEFT = 60;
  private static final int TOP = 16;
  private static final int BOTTOM = 56;

  private final Course happened;
  private final Course ruled;
  private final double top;
  private final double owed;

  TwoCourses(Course happened, Course ruled) {
    this.happened = happened;
    this.ruled = ruled;
    this.top = Math.max(1, Math.max(most(happened), most(ruled)));
    this.owed =
        Math.max(
            1, ruled.weeks().stream().mapToDouble(week -> amount(week.owed())).max().orElse(1));
  }

  private static double most(Course course) {
    return course.weeks().stream().mapToDouble(week -> amount(week.there())).max().orElse(0);
  }

  private static double amount(Quantity quantity) {
    return quantity.amount().doubleValue();
  }

  String draw(String what) {
    Svg svg = new Svg(WIDTH, HEIGHT, "What lay there of " + what + ", week by week");
    svg.line(LEFT, y(0), WIDTH, y(0), "stroke=\"#44606a\" stroke-width=\"1.2\"");
    svg.label(
        LEFT - 8, y(top) + 5, number(top), "text-anchor=\"end\" font-size=\"14\" fill=\"#44606a\"");
    svg.label(LEFT - 8, y(0) + 5, "0", "text-anchor=\"end\" font-size=\"14\" fill=\"#44606a\"");
    line(svg, happened, "stroke=\"#44606a\" stroke-width=\"2\" stroke-dasharray=\"5 4\"");
    line(svg, ruled, "stroke=\"#0b6573\" stroke-width=\"3\"");
    List<Course.Week> weeks = ruled.weeks();
    for (int i = 0; i < weeks.size(); i++) {
      double lacking = amount(weeks.get(i).owed());
      if (lacking > 0) {
        svg.rect(x(i) + 1, y(0) + 2, width() - 2, 6 + 24 * lacking / owed, "fill=\"#c2371f\"");
      }
      if (weeks.get(i).monday().getDayOfMonth() <= 7) {
        svg.label(
            x(i),
            HEIGHT - 6,
            weeks.get(i).monday().getMonth().getDisplayName(TextStyle.SHORT, Locale.ENGLISH),
            "font-size=\"14\" fill=\"#44606a\"");
      }
    }
    return svg.done();
  }

  private static String number(double value) {
    return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
  }

  private void line(Svg svg, Course course, String look) {
    Svg.Path path = new Svg.Path();
    List<Course.Week> weeks = course.weeks();
    for (int i = 0; i < weeks.size(); i++) {
      double y = y(amount(weeks.get(i).there()));
      if (i == 0) {
        path.moveTo(x(i), y);
      } else {
        path.lineTo(x(i), y);
      }
      path.lineTo(x(i + 1), y);
    }
    svg.path(path.data(), "fill=\"none\" " + look);
  }

  private double width() {
    return (WIDTH - LEFT) / (double) ruled.weeks().size();
  }

  private double x(int week) {
    return LEFT + week * width();
  }

  private double y(double amount) {
    return TOP + (HEIGHT - TOP - BOTTOM) * (1 - amount / top);
  }
}

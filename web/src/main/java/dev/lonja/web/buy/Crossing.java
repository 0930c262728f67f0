package dev.lonja.web.buy;

import dev.lonja.core.supplier.Supplier;
import dev.lonja.web.frame.Svg;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;

/**
 * Draws the way of an order on one line: today, until when it may be sent to go with the same
 * crossing, when it arrives, and when one of the next week would.
 */
final class Crossing {

  private static final int WIDTH = 460;
  private static final int HEIGHT = 54;
  private static final int LEFT = 30;
  private static final int RIGHT = 50;
  private static final int LINE = 26;
  private static final int WORDS = 46;

  /** So that no words lie over others. */
  private static final int APART = 78;

  private static final String QUIET = "font-size=\"12\" fill=\"#44606a\" text-anchor=\"middle\"";

  private final Supplier supplier;
  private final LocalDate today;
  private final LocalDate arrival;
  private final LocalDate next;

  Crossing(Supplier supplier, LocalDate today) {
    this.supplier = supplier;
    this.today = today;
    this.arrival = supplier.deliveries().arrival(today, supplier.leadDays());
    this.next = supplier.deliveries().arrival(today.plusWeeks(1), supplier.leadDays());
  }

  String draw() {
    Svg svg = new Svg(WIDTH, HEIGHT, words());
    svg.line(LEFT, LINE, WIDTH - 10, LINE, "stroke=\"#0e2b33\" stroke-width=\"2\"");
    svg.circle(LEFT, LINE, 5, "fill=\"#0e2b33\"");
    svg.label(LEFT, WORDS, "today", QUIET);
    cutOff().ifPresent(day -> cutOff(svg, day));
    double here = x(arrival);
    svg.path(triangle(here), "fill=\"#2c6a49\"");
    svg.label(here, WORDS, "here " + day(arrival), QUIET);
    if (x(next) - here >= APART) {
      svg.path(triangle(x(next)), "fill=\"#fbfcfb\" stroke=\"#2c6a49\" stroke-width=\"1.6\"");
      svg.label(x(next), WORDS, "next " + day(next), QUIET);
    }
    return svg.done();
  }

  private void cutOff(Svg svg, LocalDate day) {
    double x = Math.max(x(day), LEFT + 8);
    svg.rect(x - 2, LINE - 8, 4, 16, "fill=\"#835609\"");
    if (x - LEFT >= APART / 2.0 + 8 && x(arrival) - x >= APART) {
      svg.label(x, WORDS, "cut-off " + day(day), QUIET);
    } else {
      svg.label(x, LINE - 12, "cut-off " + day(day), QUIET.replace("middle", "start"));
    }
  }

  private Optional<LocalDate> cutOff() {
    return supplier.deliveries().nextCutOff(today).filter(day -> day.isBefore(arrival));
  }

  private String words() {
    return "Ordered today it is here on "
        + day(arrival)
        + cutOff().map(day -> ", ordered up to " + day(day) + " as well").orElse("")
        + "; ordered a week later on "
        + day(next);
  }

  private String day(LocalDate day) {
    return Words.weekday(day) + " " + Words.day(day, today);
  }

  private static String triangle(double x) {
    return new Svg.Path()
            .moveTo(x - 6, LINE - 16)
            .lineTo(x + 6, LINE - 16)
            .lineTo(x, LINE - 4)
            .data()
        + "Z";
  }

  private double x(LocalDate day) {
    double all = Math.max(1, ChronoUnit.DAYS.between(today, next));
    return LEFT + ChronoUnit.DAYS.between(today, day) / all * (WIDTH - LEFT - RIGHT);
  }
}

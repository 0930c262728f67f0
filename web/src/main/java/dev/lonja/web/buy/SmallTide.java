package dev.lonja.web.buy;

import dev.lonja.core.forecast.Demand;
import dev.lonja.core.forecast.Subject;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.trial.Band;
import dev.lonja.web.frame.Svg;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A small tide line up to the arrival of an order and a while beyond: what is left by the plan
 * line, between what it lies in eight of ten trials, and when the order is there.
 */
final class SmallTide {

  private static final int WIDTH = 200;
  private static final int HEIGHT = 58;
  private static final int TOP = 12;
  private static final int BOTTOM = 10;
  private static final int DAYS_BEYOND = 14;
  private static final int WEEK = 7;
  private static final double LOW = 0.1;
  private static final double HIGH = 0.9;

  private final Subject subject;
  private final Band band;
  private final LocalDate today;
  private final LocalDate arrival;
  private final int days;
  private final double top;
  private final double floor;

  SmallTide(Subject subject, Band band, LocalDate arrival) {
    this.subject = subject;
    this.band = band;
    this.today = band.today();
    this.arrival = arrival;
    this.days = (int) Math.min(band.days(), ChronoUnit.DAYS.between(today, arrival) + DAYS_BEYOND);
    double free = amount(subject.free());
    double most = amount(subject.thereBy(today.plusDays(days)));
    double used = amount(band.quantile(lastWeek(), HIGH));
    this.top = Math.max(Math.max(free, most), 1);
    this.floor = Math.min(free - used, -top / 8);
  }

  /** The first that ends on the last day or after it. */
  private int lastWeek() {
    int week = 0;
    while (week < band.weeks() - 1 && end(week) < days) {
      week++;
    }
    return week;
  }

  /** A step of what is there: more on an arrival, less for use. */
  private record Step(LocalDate on, Quantity change) {}

  String draw() {
    Svg svg = new Svg(WIDTH, HEIGHT, "Stock of " + subject.lead().number() + " up to the arrival");
    band(svg);
    svg.line(0, y(0), WIDTH, y(0), "stroke=\"#44606a\" stroke-width=\"1.2\"");
    steps(svg);
    double x = x(arrival);
    svg.line(x, 6, x, HEIGHT - 4, "stroke=\"#2c6a49\" stroke-width=\"2\" stroke-dasharray=\"3 3\"");
    svg.path(
        new Svg.Path().moveTo(x - 6, 0).lineTo(x + 6, 0).lineTo(x, 9).data() + "Z",
        "fill=\"#2c6a49\"");
    return svg.done();
  }

  /** Out along what is left in the best case of ten at the weeks' ends, back along the worst. */
  private void band(Svg svg) {
    Svg.Path edge = new Svg.Path().moveTo(0, y(amount(subject.free())));
    List<Integer> ends = new ArrayList<>();
    for (int week = 0; week < band.weeks() && end(week) <= days + WEEK; week++) {
      ends.add(week);
    }
    ends.forEach(week -> edge.lineTo(x(end(week)), y(left(week, LOW))));
    Collections.reverse(ends);
    ends.forEach(week -> edge.lineTo(x(end(week)), y(left(week, HIGH))));
    svg.path(edge.data() + "Z", "fill=\"#0b6573\" fill-opacity=\"0.2\"");
  }

  /** How many days from now a week ends. */
  private int end(int week) {
    return band.days() - WEEK * (band.weeks() - 1 - week);
  }

  private double left(int week, double share) {
    return amount(subject.thereBy(today.plusDays(end(week) - 1L)))
        - amount(band.quantile(week, share));
  }

  private void steps(Svg svg) {
    List<Step> steps = new ArrayList<>();
    subject.promised().forEach(coming -> steps.add(new Step(coming.on(), coming.quantity())));
    for (Demand demand : subject.demands()) {
      steps.add(new Step(demand.date(), demand.quantity().negated()));
    }
    steps.sort(Comparator.comparing(Step::on));
    Quantity left = subject.free();
    Svg.Path line = new Svg.Path().moveTo(0, y(amount(left)));
    Optional<LocalDate> runsOut = Optional.empty();
    for (Step step : steps) {
      if (step.on().isAfter(today.plusDays(days))) {
        break;
      }
      line.lineTo(x(step.on()), y(amount(left)));
      left = left.plus(step.change());
      line.lineTo(x(step.on()), y(amount(left)));
      if (runsOut.isEmpty() && left.isNegative()) {
        runsOut = Optional.of(step.on());
      }
    }
    line.lineTo(WIDTH, y(amount(left)));
    svg.path(line.data(), "fill=\"none\" stroke=\"#0b6573\" stroke-width=\"2.4\"");
    runsOut.ifPresent(
        day ->
            svg.path(
                new Svg.Path()
                        .moveTo(x(day) - 6, y(0) + 11)
                        .lineTo(x(day) + 6, y(0) + 11)
                        .lineTo(x(day), y(0) + 1)
                        .data()
                    + "Z",
                "fill=\"#b8361c\""));
  }

  private double x(LocalDate day) {
    return x((int) ChronoUnit.DAYS.between(today, day));
  }

  private double x(int day) {
    return (double) day / days * WIDTH;
  }

  private double y(double value) {
    return TOP + (top - value) / (top - floor) * (HEIGHT - TOP - BOTTOM);
  }

  private static double amount(Quantity quantity) {
    return quantity.amount().doubleValue();
  }
}

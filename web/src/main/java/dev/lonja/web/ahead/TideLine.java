package dev.lonja.web.ahead;

import static dev.lonja.web.ahead.AheadWording.HIGH;
import static dev.lonja.web.ahead.AheadWording.LOW;

import dev.lonja.core.forecast.IsoWeek;
import dev.lonja.core.forecast.Subject;
import dev.lonja.core.order.Coming;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.reorder.Reordering;
import dev.lonja.core.trial.Band;
import dev.lonja.desk.reorder.Proposal;
import dev.lonja.web.frame.Svg;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;

/**
 * Draws stock against time as a tide falling down a harbour wall: the wall carries the scale, the
 * water is what is left, and what lies below the floor of the wall is short. The swell around the
 * line is where what is left lies in eight trials of ten.
 */
final class TideLine {

  private static final int WIDTH = 1000;
  private static final int HEIGHT = 300;
  private static final int LEFT = 74;
  private static final int RIGHT = 18;
  private static final int TOP = 26;
  private static final int BOTTOM = 40;
  private static final int MOST_GRID_LINES = 5;

  private final LocalDate today;
  private final List<IsoWeek> weeks;
  private final Subject subject;
  private final Optional<Band> band;
  private final Optional<Proposal> proposal;
  private final double top;
  private final double floor;

  /**
   * The tide line of a subject.
   *
   * @param band of its use, where trials are drawn: what is left lies within it in eight of ten
   * @param proposal of what to order, where there is one
   */
  TideLine(List<IsoWeek> weeks, Subject subject, Optional<Band> band, Optional<Proposal> proposal) {
    this.today = subject.cover().today();
    this.weeks = weeks;
    this.subject = subject;
    this.proposal = proposal;
    this.band = band.filter(b -> b.weeks() >= weeks.size());
    double free = amount(subject.free());
    double most = highest();
    double end =
        amount(subject.free().plus(subject.cover().coming()).minus(subject.cover().needed()));
    double level = proposal.map(p -> amount(p.reordering().level())).orElse(0.0);
    this.top = Math.max(niceAbove(Math.max(Math.max(free, most), level)), 1);
    this.floor =
        Math.min(
            0,
            Math.min(
                Math.min(end, lowest()),
                this.band.map(b -> left(b, weeks.size() - 1, HIGH)).orElse(0.0)));
  }

  /** What is left at the end of a week if so large a share of the trials uses less. */
  private double left(Band its, int week, double share) {
    Quantity there = subject.thereBy(weeks.get(week).sunday());
    return amount(there.minus(its.quantile(week, share)));
  }

  /** A change of what is left: less for use, more for what arrives. */
  private record Step(LocalDate on, Quantity change) {}

  private List<Step> steps() {
    LocalDate last = weeks.get(weeks.size() - 1).sunday();
    return Stream.concat(
            subject.promised().stream().map(coming -> new Step(coming.on(), coming.quantity())),
            subject.demands().stream()
                .map(demand -> new Step(demand.date(), demand.quantity().negated())))
        .filter(step -> !step.on().isAfter(last))
        .sorted(Comparator.comparing(Step::on))
        .toList();
  }

  private double highest() {
    return levels().max().orElse(0);
  }

  private double lowest() {
    return levels().min().orElse(0);
  }

  /** What is left after each step. */
  private DoubleStream levels() {
    DoubleStream.Builder levels = DoubleStream.builder();
    Quantity left = subject.free();
    for (Step step : steps()) {
      left = left.plus(step.change());
      levels.add(amount(left));
    }
    return levels.build();
  }

  String draw() {
    Svg svg = new Svg(WIDTH, HEIGHT, "Stock of " + subject.lead().number() + " against time");
    grid(svg);
    weekLabels(svg);
    water(svg);
    band.ifPresent(its -> band(svg, its));
    line(svg);
    shortDay(svg);
    subject.promised().forEach(coming -> arrival(svg, coming));
    proposal.map(Proposal::reordering).ifPresent(order -> order(svg, order));
    return svg.done();
  }

  private void grid(Svg svg) {
    double step = niceAbove((top - floor) / MOST_GRID_LINES);
    double first = Math.ceil(floor / step) * step;
    for (double value = first; value <= top + step / 1000; value += step) {
      boolean zero = Math.abs(value) < step / 1000;
      String look = zero ? "stroke=\"#0e2b33\" stroke-width=\"1.6\"" : "stroke=\"#b9c8c5\"";
      svg.line(LEFT, y(value), WIDTH - RIGHT, y(value), look);
      String unit = zero || Math.abs(value - top) > step / 1000 ? "" : unit();
      svg.label(
          LEFT - 8,
          y(value) + 5,
          plain(value) + unit,
          "text-anchor=\"end\" font-size=\"14\" fill=\"#44606a\"");
    }
  }

  private void weekLabels(Svg svg) {
    int every = Math.max(1, weeks.size() / 13);
    for (int i = 0; i < weeks.size(); i += every) {
      double x = x(weeks.get(i).monday().isBefore(today) ? today : weeks.get(i).monday());
      svg.line(x, HEIGHT - BOTTOM, x, HEIGHT - BOTTOM + 5, "stroke=\"#44606a\"");
      String name = (i == 0 ? "week " : "") + weeks.get(i).number();
      String anchor = i == 0 ? "start" : "middle";
      svg.label(
          i == 0 ? LEFT - 40 : x,
          HEIGHT - BOTTOM + 22,
          name,
          "text-anchor=\"" + anchor + "\" font-size=\"14\" fill=\"#44606a\"");
    }
  }

  private void water(Svg svg) {
    String toFloor = new Svg.Path().lineTo(WIDTH - RIGHT, y(0)).lineTo(LEFT, y(0)).data() + "Z";
    svg.path(line(left -> Math.max(left, 0)) + toFloor, "fill=\"#d3dedb\"");
    svg.path(line(left -> Math.min(left, 0)) + toFloor, "fill=\"#f0d2ca\"");
  }

  private void line(Svg svg) {
    svg.path(line(left -> left), "fill=\"none\" stroke=\"#0e2b33\" stroke-width=\"2.6\"");
  }

  /** From today on out along what is left in the best case of ten, and back along the worst. */
  private void band(Svg svg, Band its) {
    Svg.Path edge = new Svg.Path().moveTo(x(today), y(amount(subject.free())));
    for (int week = 0; week < weeks.size(); week++) {
      edge.lineTo(x(weeks.get(week).sunday().plusDays(1)), y(left(its, week, LOW)));
    }
    for (int week = weeks.size() - 1; week >= 0; week--) {
      edge.lineTo(x(weeks.get(week).sunday().plusDays(1)), y(left(its, week, HIGH)));
    }
    svg.path(edge.data() + "Z", "fill=\"#0b6573\" fill-opacity=\"0.22\"");
  }

  /** The steps of what is left, each value changed by {@code bound} first. */
  private String line(DoubleUnaryOperator bound) {
    Quantity left = subject.free();
    double height = y(bound.applyAsDouble(amount(left)));
    Svg.Path line = new Svg.Path().moveTo(x(today), height);
    for (Step step : steps()) {
      line.lineTo(x(step.on()), height);
      left = left.plus(step.change());
      height = y(bound.applyAsDouble(amount(left)));
      line.lineTo(x(step.on()), height);
    }
    return line.lineTo(WIDTH - RIGHT, height).data();
  }

  /** The level, below which an order is proposed, and the last day on which it is soon enough. */
  private void order(Svg svg, Reordering order) {
    double level = y(amount(order.level()));
    String ink = "stroke=\"#835609\" stroke-width=\"1.6\"";
    svg.line(LEFT, level, WIDTH - RIGHT, level, ink + " stroke-dasharray=\"7 5\"");
    svg.label(
        WIDTH - RIGHT - 4,
        level - 6,
        "level",
        "text-anchor=\"end\" font-size=\"14\" fill=\"#835609\"");
    order
        .orderBy()
        .filter(day -> !day.isAfter(weeks.get(weeks.size() - 1).sunday()))
        .ifPresent(
            day -> {
              svg.line(x(day), TOP, x(day), HEIGHT - BOTTOM, ink);
              svg.label(
                  x(day) + 6,
                  HEIGHT - BOTTOM - 8,
                  "◆ order by " + Words.day(day, today),
                  // what crosses the words is cut out around them
                  "font-size=\"14\" font-weight=\"700\" fill=\"#835609\" paint-order=\"stroke\""
                      + " stroke=\"#fbfcfb\" stroke-width=\"6\"");
            });
  }

  /** A delivery: a mark at its day that says what it brings. */
  private void arrival(Svg svg, Coming coming) {
    if (coming.on().isAfter(weeks.get(weeks.size() - 1).sunday())) {
      return;
    }
    double x = x(coming.on());
    svg.line(x, TOP + 8, x, HEIGHT - BOTTOM, "stroke=\"#2c6a49\" stroke-dasharray=\"3 4\"");
    svg.path(
        new Svg.Path().moveTo(x - 7, TOP).lineTo(x + 7, TOP).lineTo(x, TOP + 11).data() + "Z",
        "fill=\"#2c6a49\"");
    boolean late = x > WIDTH - 200;
    svg.label(
        late ? x - 11 : x + 11,
        TOP + 11,
        "+" + coming.quantity().display() + ", order " + coming.order(),
        "font-size=\"14\" fill=\"#2c6a49\" paint-order=\"stroke\" stroke=\"#fbfcfb\""
            + " stroke-width=\"5\" text-anchor=\""
            + (late ? "end" : "start")
            + "\"");
  }

  private void shortDay(Svg svg) {
    subject
        .cover()
        .shortOn()
        .ifPresent(
            day -> {
              double x = x(day);
              svg.line(x, TOP - 18, x, HEIGHT - BOTTOM, "stroke=\"#b8361c\" stroke-width=\"2\"");
              boolean late = x > WIDTH - 200;
              svg.label(
                  late ? x - 8 : x + 8,
                  TOP - 6,
                  "▲ short on " + Words.day(day, today),
                  "font-size=\"15\" font-weight=\"700\" fill=\"#b8361c\" text-anchor=\""
                      + (late ? "end" : "start")
                      + "\"");
            });
  }

  private double x(LocalDate day) {
    long days = ChronoUnit.DAYS.between(today, day);
    long all = ChronoUnit.DAYS.between(today, weeks.get(weeks.size() - 1).sunday().plusDays(1));
    return LEFT + (double) days / all * (WIDTH - LEFT - RIGHT);
  }

  private double y(double value) {
    return TOP + (top - value) / (top - floor) * (HEIGHT - TOP - BOTTOM);
  }

  private String unit() {
    return " " + subject.free().measure().symbol();
  }

  private static double amount(Quantity quantity) {
    return quantity.amount().doubleValue();
  }

  private static String plain(double value) {
    return value == Math.rint(value)
        ? String.valueOf((long) value).replace('-', '−')
        : String.format(Locale.ROOT, "%.1f", value).replace('-', '−');
  }

  /** The next of 1, 2, 5, 10, 20, 50, … that is not below {@code value}; 1 for zero and less. */
  private static double niceAbove(double value) {
    if (!(value > 0)) {
      return 1;
    }
    double power = Math.pow(10, Math.floor(Math.log10(value)));
    for (double factor : new double[] {1, 2, 5}) {
      if (factor * power >= value) {
        return factor * power;
      }
    }
    return 10 * power;
  }
}

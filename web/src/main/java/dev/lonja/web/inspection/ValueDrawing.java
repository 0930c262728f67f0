package dev.lonja.web.inspection;

import dev.lonja.core.inspection.Found;
import dev.lonja.core.inspection.InspectedValue;
import dev.lonja.core.inspection.ValueTrend;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.desk.service.ValuesDesk;
import dev.lonja.web.frame.Svg;
import java.util.Optional;
import java.util.stream.LongStream;
import java.util.stream.Stream;

/**
 * Draws values over the machine's life, or over the days where no meter counts: what is sound as a
 * band of calm water, values as floats on it, what was done about one as a step down or up, and
 * where it is heading as a broken line.
 */
final class ValueDrawing {

  private static final int WIDTH = 1000;
  private static final int HEIGHT = 280;
  private static final int LEFT = 118;
  private static final int RIGHT = 24;
  private static final int TOP = 20;
  private static final int BOTTOM = 36;
  private static final double MARGIN = 0.15;
  private static final String INK = "#0e2b33";
  private static final String SOFT = "#44606a";
  private static final String OUT = "#b8361c";

  private final ValuesDesk.Sheet sheet;
  private final boolean byLife;
  private final double low;
  private final double high;
  private final double first;
  private final double last;

  private ValueDrawing(ValuesDesk.Sheet sheet) {
    this.sheet = sheet;
    this.byLife = sheet.checks().stream().allMatch(check -> check.life().isPresent());
    double least = bases().min().orElseThrow();
    double most = bases().max().orElseThrow();
    double margin = Math.max((most - least) * MARGIN, 1);
    this.low = least - margin;
    this.high = most + margin;
    this.first = place(sheet.checks().get(0));
    double end = place(sheet.checks().get(sheet.checks().size() - 1));
    double reach =
        byLife
            ? sheet.reach().map(reached -> (double) reached.ahead().life().tenths()).orElse(end)
            : end;
    this.last = Math.max(Math.max(end, reach), first + 1);
  }

  static String draw(ValuesDesk.Sheet sheet) {
    return new ValueDrawing(sheet).draw();
  }

  private LongStream bases() {
    Stream<InspectedValue> limits =
        Stream.of(sheet.limits().low(), sheet.limits().high()).flatMap(Optional::stream);
    Stream<InspectedValue> values =
        sheet.checks().stream()
            .map(ValuesDesk.Check::found)
            .flatMap(found -> Stream.of(found.value(), found.after()))
            .flatMap(Optional::stream);
    return Stream.concat(limits, values).mapToLong(InspectedValue::base);
  }

  private double place(ValuesDesk.Check check) {
    return byLife ? check.life().orElseThrow().tenths() : check.day().toEpochDay();
  }

  private String draw() {
    Svg svg = new Svg(WIDTH, HEIGHT, "Values of " + sheet.task().name());
    band(svg);
    line(svg);
    ahead(svg);
    floats(svg);
    ends(svg);
    return svg.done();
  }

  private void band(Svg svg) {
    double top = sheet.limits().high().map(this::y).orElse((double) TOP);
    double bottom = sheet.limits().low().map(this::y).orElse((double) HEIGHT - BOTTOM);
    svg.rect(LEFT, top, WIDTH - LEFT - RIGHT, bottom - top, "fill=\"#d3dedb\"");
    sheet.limits().low().ifPresent(limit -> limit(svg, limit));
    sheet.limits().high().ifPresent(limit -> limit(svg, limit));
  }

  private void limit(Svg svg, InspectedValue limit) {
    svg.line(
        LEFT, y(limit), WIDTH - RIGHT, y(limit), "stroke=\"" + INK + "\" stroke-width=\"1.4\"");
    svg.label(
        LEFT - 8,
        y(limit) + 5,
        limit.display(),
        "text-anchor=\"end\" font-size=\"14\" fill=\"" + SOFT + "\"");
  }

  private void line(Svg svg) {
    Svg.Path path = new Svg.Path();
    boolean isOpen = false;
    for (ValuesDesk.Check check : sheet.checks()) {
      Found found = check.found();
      double x = x(place(check));
      double y = y(found.value().orElseThrow());
      path = isOpen ? path.lineTo(x, y) : path.moveTo(x, y);
      isOpen = found.after().isPresent() || !found.outcome().isRemedy();
      if (found.after().isPresent()) {
        path.lineTo(x, y(found.after().get()));
      }
    }
    svg.path(path.data(), "fill=\"none\" stroke=\"" + INK + "\" stroke-width=\"2.2\"");
  }

  private void ahead(Svg svg) {
    if (!byLife || sheet.reach().isEmpty()) {
      return;
    }
    ValuesDesk.Check latest = sheet.checks().get(sheet.checks().size() - 1);
    InspectedValue from = latest.found().after().or(() -> latest.found().value()).orElseThrow();
    ValueTrend.Ahead ahead = sheet.reach().get().ahead();
    svg.line(
        x(place(latest)),
        y(from),
        x(ahead.life().tenths()),
        y(ahead.limit()),
        "stroke=\"" + OUT + "\" stroke-width=\"2\" stroke-dasharray=\"6 6\"");
  }

  private void floats(Svg svg) {
    for (ValuesDesk.Check check : sheet.checks()) {
      InspectedValue value = check.found().value().orElseThrow();
      String colour = sheet.limits().hold(value) ? INK : OUT;
      svg.circle(x(place(check)), y(value), 6, "fill=\"" + colour + "\"");
      check
          .found()
          .after()
          .ifPresent(
              after ->
                  svg.circle(
                      x(place(check)),
                      y(after),
                      6,
                      "fill=\"#ffffff\" stroke=\"" + INK + "\" stroke-width=\"2.4\""));
    }
  }

  private void ends(Svg svg) {
    String look = "font-size=\"14\" fill=\"" + SOFT + "\" text-anchor=\"";
    svg.label(LEFT, HEIGHT - 12, words(first, 0), look + "start\"");
    double latest = place(sheet.checks().get(sheet.checks().size() - 1));
    if (last - latest > (last - first) / 5) {
      svg.label(
          x(latest), HEIGHT - 12, words(latest, sheet.checks().size() - 1), look + "middle\"");
    }
    svg.label(WIDTH - RIGHT, HEIGHT - 12, words(last, sheet.checks().size() - 1), look + "end\"");
  }

  private String words(double at, int index) {
    return byLife
        ? new MeterValue(Math.round(at), sheet.checks().get(index).life().orElseThrow().measure())
            .display()
        : sheet.checks().get(index).day().toString();
  }

  private double x(double place) {
    return LEFT + (place - first) / (last - first) * (WIDTH - LEFT - RIGHT);
  }

  private double y(InspectedValue value) {
    return TOP + (high - value.base()) / (high - low) * (HEIGHT - TOP - BOTTOM);
  }
}

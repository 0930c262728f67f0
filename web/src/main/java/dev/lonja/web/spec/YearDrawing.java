package dev.lonja.web.spec;

import dev.lonja.core.grade.Climate;
import dev.lonja.core.grade.GradeRow;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.web.frame.Svg;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A grade chart against the temperature year: a bar a month from its lowest to its highest, and
 * beside them on the same scale a gauge for each line of the chart; below, the months that each
 * line serves whole.
 */
final class YearDrawing {

  private static final int LEFT = 46;
  private static final int TOP = 14;
  private static final int HEIGHT = 210;
  private static final int MONTH = 42;
  private static final int GAUGE = 74;
  private static final int STRIP = 26;
  private static final String INK = "stroke=\"var(--color-ink)\" stroke-width=\"1.4\"";
  private static final String RULE = "stroke=\"var(--color-rule)\"";
  private static final String SMALL = "font-size=\"13\" fill=\"var(--color-ink)\"";
  private static final String SOFT = "font-size=\"13\" fill=\"var(--color-ink-soft)\"";

  private final Climate climate;
  private final List<GradeRow> rows;
  private final int coldest;
  private final int hottest;

  private YearDrawing(Climate climate, List<GradeRow> rows) {
    this.climate = climate;
    this.rows = rows;
    this.coldest = roundedDown(ends().mapToInt(Temperature::tenthsCelsius).min().orElse(0)) - 50;
    this.hottest = ends().mapToInt(Temperature::tenthsCelsius).max().orElse(0) / 50 * 50 + 100;
  }

  private Stream<Temperature> ends() {
    return Stream.concat(
        climate.months().stream().flatMap(m -> Stream.of(m.lowest(), m.highest())),
        rows.stream()
            .flatMap(row -> Stream.of(row.lowest(), row.highest()))
            .flatMap(Optional::stream));
  }

  private static int roundedDown(int tenths) {
    return Math.floorDiv(tenths, 50) * 50;
  }

  static String of(Climate climate, List<GradeRow> rows) {
    return new YearDrawing(climate, rows).draw();
  }

  private String draw() {
    int width = LEFT + 12 * MONTH + 30 + rows.size() * GAUGE + 20;
    int bottom = TOP + HEIGHT;
    Svg svg =
        Svg.withLinksInItsSize(
            width, bottom + 30 + rows.size() * STRIP, "Grades against the temperature year");
    for (int tenths = coldest + 50; tenths < hottest; tenths += 100) {
      svg.line(LEFT, y(tenths), width - 10, y(tenths), RULE);
      svg.label(
          LEFT - 8,
          y(tenths) + 4,
          String.valueOf(tenths / 10).replace('-', '−'),
          SOFT + " text-anchor=\"end\"");
    }
    svg.label(4, TOP - 2, "°C", SOFT);
    for (Month month : Month.values()) {
      drawMonth(svg, month, bottom);
    }
    for (int i = 0; i < rows.size(); i++) {
      drawGauge(svg, rows.get(i), LEFT + 12 * MONTH + 44 + i * GAUGE);
      drawStrip(svg, rows.get(i), bottom + 28 + i * STRIP);
    }
    return svg.done();
  }

  private void drawMonth(Svg svg, Month month, int bottom) {
    Climate.MonthRange range = climate.of(month);
    double x = LEFT + (month.getValue() - 1) * MONTH + 10;
    double top = y(range.highest().tenthsCelsius());
    double foot = y(range.lowest().tenthsCelsius());
    svg.rect(x, top, MONTH - 20, Math.max(1, foot - top), "fill=\"var(--color-teal)\"");
    svg.label(
        x + (MONTH - 20) / 2.0,
        bottom + 16,
        month.getDisplayName(TextStyle.SHORT, Locale.ENGLISH),
        SMALL + " text-anchor=\"middle\"");
  }

  /** A staff gauge over the range; an open end runs off the scale. */
  private void drawGauge(Svg svg, GradeRow row, double x) {
    double top = row.highest().map(t -> y(t.tenthsCelsius())).orElse((double) TOP);
    double foot = row.lowest().map(t -> y(t.tenthsCelsius())).orElse((double) TOP + HEIGHT);
    svg.rect(x, top, 16, foot - top, "fill=\"var(--color-paper)\" " + INK);
    for (int tenths = coldest; tenths < hottest; tenths += 50) {
      if (y(tenths) > top && y(tenths) < foot) {
        svg.line(x, y(tenths), x + (tenths % 100 == 0 ? 10 : 6), y(tenths), INK);
      }
    }
    svg.label(x + 22, top + 14, row.grade().text(), SMALL + " font-family=\"Mono\"");
    row.highest().ifPresent(t -> svg.label(x + 22, top + 30, t.display(), SOFT));
    row.lowest().ifPresent(t -> svg.label(x + 22, foot - 4, t.display(), SOFT));
  }

  private void drawStrip(Svg svg, GradeRow row, double y) {
    for (Month month : Month.values()) {
      Climate.MonthRange range = climate.of(month);
      boolean cold = row.servesCold(range.lowest());
      boolean heat = row.servesHeat(range.highest());
      double x = LEFT + (month.getValue() - 1) * MONTH;
      svg.rect(
          x + 2,
          y,
          MONTH - 4,
          STRIP - 8,
          (cold && heat ? "fill=\"var(--color-kelp)\" " : "fill=\"none\" ") + INK);
      if (!cold || !heat) {
        svg.label(
            x + MONTH / 2.0, y + 13, heat ? "cold" : "heat", SMALL + " text-anchor=\"middle\"");
      }
    }
    svg.label(LEFT + 12 * MONTH + 8, y + 14, row.grade().text(), SMALL + " font-family=\"Mono\"");
  }

  private double y(int tenths) {
    return TOP + HEIGHT * (double) (hottest - tenths) / (hottest - coldest);
  }
}

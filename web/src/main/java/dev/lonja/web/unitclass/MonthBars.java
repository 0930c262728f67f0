package dev.lonja.web.unitclass;

import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.web.frame.Svg;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.List;
import java.util.Locale;

/** Twelve months as bars against their mean. */
public final class MonthBars {

  private static final int MONTH_WIDTH = 34;
  private static final int HEIGHT = 96;
  private static final int FOOT = 78;
  private static final int TOP = 6;
  private static final double LEAST_TOP = 2;

  private MonthBars() {}

  /** Factors in ten-thousandths, January first. */
  public static String draw(List<Integer> factors, String title) {
    double highest =
        Math.max(LEAST_TOP, factors.stream().mapToInt(f -> f).max().orElse(0) / 10_000.0);
    double unit = (FOOT - TOP) / highest;
    Svg svg = new Svg(12 * MONTH_WIDTH, HEIGHT, title);
    for (int month = 0; month < factors.size(); month++) {
      double factor = factors.get(month) / 10_000.0;
      double height = factor * unit;
      double x = month * MONTH_WIDTH + 4.0;
      svg.rect(x, FOOT - height, MONTH_WIDTH - 8, height, "fill=\"#0b6573\"");
      String name = Month.of(month + 1).getDisplayName(TextStyle.SHORT, Locale.ENGLISH);
      svg.label(
          x + (MONTH_WIDTH - 8) / 2.0,
          HEIGHT - 4,
          name,
          "text-anchor=\"middle\" font-size=\"12\" fill=\"#44606a\"");
    }
    svg.line(
        0,
        FOOT - unit,
        12 * MONTH_WIDTH,
        FOOT - unit,
        "stroke=\"#0e2b33\" stroke-dasharray=\"4 4\"");
    svg.line(0, FOOT, 12 * MONTH_WIDTH, FOOT, "stroke=\"#0e2b33\"");
    return svg.done();
  }

  /** "0.85". */
  static String words(int factor) {
    return PlainDecimal.of(factor, 4);
  }
}

package dev.lonja.web.unitclass;

import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.web.frame.Svg;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.List;
import java.util.Locale;

/**
 * Twelve months as bars against their mean, with what a page needs to move them.
 *
 * @param svg the drawing, whose rectangles are the bars, January first
 * @param foot where the bars stand, from the top of the drawing
 * @param unit how high a bar is that means 1
 */
public record MonthBars(String svg, int foot, double unit) {

  private static final int MONTH_WIDTH = 34;
  private static final int FOOT = 78;
  private static final int NAMES = 18;
  private static final double LEAST_TOP = 2;

  /** Above the highest bar, so that it can still be drawn up. */
  private static final double HEADROOM = 1.15;

  /**
   * With the names of the months below.
   *
   * @param factors in ten-thousandths, January first
   */
  public static MonthBars named(List<Integer> factors, String title) {
    return draw(factors, new Svg(12 * MONTH_WIDTH, FOOT + NAMES, title), true);
  }

  /** Without names, above fields that bear them. */
  static MonthBars bare(List<Integer> factors, String title) {
    return draw(factors, new Svg(12 * MONTH_WIDTH, FOOT + 1, title), false);
  }

  private static MonthBars draw(List<Integer> factors, Svg svg, boolean named) {
    double highest =
        Math.max(LEAST_TOP, factors.stream().mapToInt(f -> f).max().orElse(0) / 10_000.0);
    double unit = FOOT / (highest * HEADROOM);
    for (int month = 0; month < factors.size(); month++) {
      double height = factors.get(month) / 10_000.0 * unit;
      double x = month * MONTH_WIDTH + 4.0;
      svg.rect(x, FOOT - height, MONTH_WIDTH - 8, height, "fill=\"#0b6573\"");
      if (named) {
        name(svg, x, month);
      }
    }
    svg.line(
        0,
        FOOT - unit,
        12 * MONTH_WIDTH,
        FOOT - unit,
        "stroke=\"#0e2b33\" stroke-dasharray=\"4 4\"");
    svg.line(0, FOOT, 12 * MONTH_WIDTH, FOOT, "stroke=\"#0e2b33\"");
    return new MonthBars(svg.done(), FOOT, unit);
  }

  private static void name(Svg svg, double x, int month) {
    svg.label(
        x + (MONTH_WIDTH - 8) / 2.0,
        FOOT + NAMES - 4,
        Month.of(month + 1).getDisplayName(TextStyle.SHORT, Locale.ENGLISH),
        "text-anchor=\"middle\" font-size=\"12\" fill=\"#44606a\"");
  }

  /** "0.85". */
  static String words(int factor) {
    return PlainDecimal.of(factor, 4);
  }
}

package dev.lonja.web.ahead;

import dev.lonja.core.forecast.IsoWeek;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.web.frame.Svg;
import java.util.List;
import java.util.Map;

/** Draws the expected use of the coming weeks as a row of bars. */
final class WeekBars {

  private static final int WIDTH = 176;
  private static final int HEIGHT = 30;
  private static final int GAP = 5;

  private WeekBars() {}

  static String draw(List<IsoWeek> weeks, Map<IsoWeek, Quantity> use, String title) {
    long most = use.values().stream().mapToLong(Quantity::millionths).max().orElse(0);
    double step = (double) WIDTH / weeks.size();
    Svg svg = new Svg(WIDTH, HEIGHT, title);
    for (int i = 0; i < weeks.size(); i++) {
      Quantity quantity = use.get(weeks.get(i));
      double share = quantity == null || most == 0 ? 0 : (double) quantity.millionths() / most;
      double height = Math.max(1.2, share * (HEIGHT - 2));
      svg.rect(i * step, HEIGHT - height, step - GAP, height, "fill=\"#0b6573\"");
    }
    return svg.done();
  }
}

package dev.lonja.web.ahead;

import dev.lonja.core.fluid.ProductId;
import dev.lonja.web.frame.DrawingView;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Plate;
import java.util.List;
import java.util.Optional;

/**
 * One item's tide line, its weeks and what a week is for.
 *
 * @param order whether and by when to order it; empty if nobody can say
 */
public record AheadItemView(
    Plate plate,
    Optional<Drum> drum,
    Optional<ProductId> productId,
    String summary,
    String tide,
    DrawingView drawing,
    List<Week> weeks,
    String order,
    Drill drill) {

  /** What a week, or all of them, is for. */
  public record Drill(String title, List<Line> lines, String total) {}

  public record Week(
      String name,
      String monday,
      String from,
      String use,
      String left,
      String chance,
      String most,
      boolean isShort,
      boolean chosen) {}

  public record Line(
      String day,
      String unit,
      String service,
      String reason,
      String due,
      String held,
      String quantity) {}
}

package dev.lonja.web.ahead;

import dev.lonja.core.fluid.ProductId;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Plate;
import java.util.List;
import java.util.Optional;

/** One item's tide line, its weeks and what a week is for. */
public record AheadItemView(
    Plate plate,
    Optional<Drum> drum,
    Optional<ProductId> productId,
    String summary,
    String tide,
    AheadView.Drawing drawing,
    List<Week> weeks,
    String drillTitle,
    List<Line> lines,
    String drillTotal) {

  public record Week(
      String name,
      String monday,
      String from,
      String use,
      String left,
      String chance,
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

package dev.lonja.web.tray;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.TakeLine;
import java.math.BigDecimal;
import java.math.RoundingMode;

/** Why a line is on a tray and what to watch for, in words. */
public final class TrayWording {

  private static final Cases<TakeLine.Reason, String> NOTE =
      Cases.<TakeLine.Reason, String>over(TakeLine.Reason.class)
          .when(TakeLine.Reason.Fill.class, TrayWording::fill)
          .when(TakeLine.Reason.NewSeal.class, seal -> join("Policy: always new.", seal.note()))
          .when(
              TakeLine.Reason.OnInspection.class,
              inspection -> join("Only if worn; comes back if unused.", inspection.note()))
          .when(TakeLine.Reason.Part.class, TakeLine.Reason.Part::note)
          .all();

  private static final Cases<TakeLine.Reason, String> REASON =
      Cases.<TakeLine.Reason, String>over(TakeLine.Reason.class)
          .when(
              TakeLine.Reason.Fill.class,
              fill ->
                  fill.condition().words()
                      + ", "
                      + fill.capacity().display()
                      + fill.filterVolume()
                          .map(v -> " with " + v.display() + " in the filter")
                          .orElse("")
                      + ", "
                      + percent(fill.handlingLoss())
                      + " handling loss")
          .when(
              TakeLine.Reason.NewSeal.class,
              seal -> "new seal whenever the " + seal.compartment().toLowerCase() + " is drained")
          .when(
              TakeLine.Reason.OnInspection.class,
              inspection ->
                  "replaced in "
                      + percent(inspection.chance().value())
                      + (inspection.chance().isLearned()
                          ? " of inspections: "
                              + inspection.chance().replaced()
                              + " of "
                              + inspection.chance().inspected()
                              + " recorded"
                          : " of inspections, until 5 are recorded"))
          .when(TakeLine.Reason.Part.class, part -> "replaced every time")
          .all();

  private TrayWording() {}

  /** "Drain with filter. Pour 5.70 L first, keep 700 mL for after running." */
  public static String note(TakeLine.Reason reason) {
    return NOTE.apply(reason);
  }

  /** The same for the drill-down, where the chance and the loss explain the figure. */
  public static String reason(TakeLine.Reason reason) {
    return REASON.apply(reason);
  }

  private static String fill(TakeLine.Reason.Fill fill) {
    Volume pour = fill.firstPour().pour();
    Volume reserve = fill.firstPour().reserve();
    String amounts =
        pour.equals(Volume.ZERO)
            ? "Pour slowly and read the level."
            : "Pour "
                + pour.display()
                + " first, keep "
                + reserve.display()
                + " for after running.";
    String condition = fill.condition().words();
    return Character.toUpperCase(condition.charAt(0)) + condition.substring(1) + ". " + amounts;
  }

  private static String percent(BigDecimal share) {
    return PlainDecimal.of(share.movePointRight(2).setScale(1, RoundingMode.HALF_UP)) + " %";
  }

  private static String join(String one, String other) {
    return other.isEmpty() ? one : one + " " + other;
  }
}

package dev.lonja.web.tray;

import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.TakeLine;
import java.math.BigDecimal;

/** Why a line is on a tray and what to watch for, in words. */
public final class TrayWording {

  private TrayWording() {}

  /** "Drain with filter. Pour 5.70 L first, keep 700 mL for after running." */
  public static String note(TakeLine.Reason reason) {
    if (reason instanceof TakeLine.Reason.Fill fill) {
      return fill(fill);
    } else if (reason instanceof TakeLine.Reason.NewSeal seal) {
      return join("Policy: always new.", seal.note());
    } else if (reason instanceof TakeLine.Reason.OnInspection inspection) {
      return join("Only if worn; comes back if unused.", inspection.note());
    }
    return ((TakeLine.Reason.Part) reason).note();
  }

  /** The same for the drill-down, where the chance and the loss explain the figure. */
  public static String reason(TakeLine.Reason reason) {
    if (reason instanceof TakeLine.Reason.Fill fill) {
      return fill.condition().words()
          + ", "
          + fill.capacity().display()
          + fill.filterVolume().map(v -> " with " + v.display() + " in the filter").orElse("")
          + ", "
          + percent(fill.handlingLoss())
          + " handling loss";
    } else if (reason instanceof TakeLine.Reason.NewSeal seal) {
      return "new seal whenever the " + seal.compartment().toLowerCase() + " is drained";
    } else if (reason instanceof TakeLine.Reason.OnInspection inspection) {
      ReplacementChance chance = inspection.chance();
      return "replaced in "
          + percent(chance.value())
          + (chance.isLearned()
              ? " of inspections: " + chance.replaced() + " of " + chance.inspected() + " recorded"
              : " of inspections, until 5 are recorded");
    }
    return "replaced every time";
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
    return PlainDecimal.of(share.movePointRight(2)) + " %";
  }

  private static String join(String one, String other) {
    return other.isEmpty() ? one : one + " " + other;
  }
}

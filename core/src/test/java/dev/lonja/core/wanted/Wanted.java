package dev.lonja.core.wanted;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.TaskId;
import java.time.LocalDate;
import java.util.Optional;

/** Wanted parts of unit 7, FL-9, for worked examples. */
public final class Wanted {

  private Wanted() {}

  public static WantedPart leftOut(
      ItemId item, Quantity quantity, Optional<TaskId> task, Optional<String> neededOn) {
    return part(
        item, quantity, neededOn, new WantedPart.Cause.LeftOut("T-0004", task, "none to be had"));
  }

  public static WantedPart asked(ItemId item, Quantity quantity, Optional<String> neededOn) {
    return part(item, quantity, neededOn, new WantedPart.Cause.Asked("workshop", "it sweats"));
  }

  private static WantedPart part(
      ItemId item, Quantity quantity, Optional<String> neededOn, WantedPart.Cause cause) {
    return new WantedPart(
        new WantedPartId(1),
        Optional.of(new WantedPart.ForUnit(new UnitId(7), "FL-9")),
        item,
        quantity,
        "hose",
        Destination.NONE,
        neededOn.map(LocalDate::parse),
        cause);
  }
}

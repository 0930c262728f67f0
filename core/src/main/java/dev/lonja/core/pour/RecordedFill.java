package dev.lonja.core.pour;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Volume;
import java.time.LocalDate;

/** What was really poured into a compartment, as noted when a job came back. */
public record RecordedFill(
    long id,
    CompartmentId compartmentId,
    ItemId itemId,
    FillCondition condition,
    Volume volume,
    LocalDate day,
    String actor) {

  /** The same as somebody else would note it. */
  public NewFill by(String other) {
    return new NewFill(compartmentId, itemId, condition, volume, day, other);
  }
}

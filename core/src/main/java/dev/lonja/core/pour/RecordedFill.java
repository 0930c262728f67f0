package dev.lonja.core.pour;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Volume;
import java.time.LocalDate;
import java.util.Optional;

/**
 * What was really poured into a compartment, as noted when a job came back.
 *
 * @param drained what ran out before, if somebody measured it
 * @param level how it stood then, if somebody read it
 */
public record RecordedFill(
    long id,
    CompartmentId compartmentId,
    ItemId itemId,
    FillCondition condition,
    Volume volume,
    Optional<Volume> drained,
    Optional<FillLevel> level,
    LocalDate day,
    String actor) {

  /** True unless the level was read and stood low or high, so that more or less belongs in. */
  public boolean wasRight() {
    return level.filter(stood -> stood != FillLevel.RIGHT).isEmpty();
  }

  /** The same as somebody else would note it. */
  public NewFill by(String other) {
    return new NewFill(compartmentId, itemId, condition, volume, drained, level, day, other);
  }
}

package dev.lonja.desk.forecast;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import java.util.List;
import java.util.Optional;

/**
 * The trial that set a quantile.
 *
 * @param number of the trial, from 0 on
 * @param used what it used up to the end of the week; what {@code uses} add up to
 * @param uses in order of week
 */
public record DrawnTrial(int number, Quantity used, List<Use> uses) {

  /**
   * Something that is used in it.
   *
   * @param unit empty for what is used beside services, or wanted by itself
   * @param week counted from the one that holds today
   */
  public record Use(Optional<UnitId> unit, ItemId item, int week, long thousandths) {}
}

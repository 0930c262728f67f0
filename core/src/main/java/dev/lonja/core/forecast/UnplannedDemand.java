package dev.lonja.core.forecast;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.Optional;

/** What is used beside services in one ISO week, as in the weeks that lie behind. */
public record UnplannedDemand(UnplannedUse use, LocalDate date, Quantity quantity)
    implements Demand {

  @Override
  public ItemId itemId() {
    return use.itemId();
  }

  @Override
  public Optional<String> unitCode() {
    return Optional.empty();
  }

  /** Both together, on the day of this one. */
  public UnplannedDemand and(UnplannedDemand later) {
    return new UnplannedDemand(use, date, quantity.plus(later.quantity));
  }
}

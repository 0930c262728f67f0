package dev.lonja.core.forecast;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.Optional;

/** One line of the drill-down: this much of an item on this day, and why. */
public sealed interface Demand permits ServiceDemand, TopUpDemand, UnplannedDemand, CertainDemand {

  /** The item that is expected to be drawn. */
  ItemId itemId();

  LocalDate date();

  /** What is still expected to be drawn, zero or more. */
  Quantity quantity();

  /** The machine it is for; none for what the workshop itself uses, or nobody planned. */
  Optional<String> unitCode();
}

package dev.lonja.core.replay;

import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.reorder.Position;
import java.time.LocalDate;
import java.util.Optional;

/** Decides on each Monday of the past what is ordered, from what was known then. */
@FunctionalInterface
public interface Ordering {

  /**
   * An order.
   *
   * @param arrives on this day, later than the one on which it is placed
   * @param dear what of the cost is above the lowest price
   */
  record Placed(Quantity quantity, LocalDate arrives, Money cost, Money dear) {}

  /**
   * What is ordered on a Monday, if anything is.
   *
   * @param position what there is, less what is owed, and what is on its way
   */
  Optional<Placed> on(LocalDate monday, Position position);
}

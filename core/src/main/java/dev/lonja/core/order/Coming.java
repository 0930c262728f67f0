package dev.lonja.core.order;

import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;

/**
 * What an open order is to bring of one thing.
 *
 * @param on the day it is promised for
 * @param quantity more than nothing
 */
public record Coming(LocalDate on, Quantity quantity, OrderId order, String supplier) {

  /** True if it was to be there before today. */
  public boolean isOverdue(LocalDate today) {
    return on.isBefore(today);
  }
}

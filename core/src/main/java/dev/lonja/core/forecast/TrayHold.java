package dev.lonja.core.forecast;

import dev.lonja.core.quantity.Quantity;
import java.util.Map;
import java.util.Set;

/** What an open tray holds, by item, for the next occurrence of its tasks. */
public record TrayHold(Set<Long> taskIds, Map<Long, Quantity> laid) {

  public TrayHold {
    taskIds = Set.copyOf(taskIds);
    laid = Map.copyOf(laid);
  }
}

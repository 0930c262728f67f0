package dev.lonja.core.forecast;

import dev.lonja.core.quantity.Quantity;
import java.util.Map;
import java.util.Set;

/** What an open tray holds, by item, for the next occurrence of its tasks on its unit. */
public record TrayHold(long unitId, Set<Long> taskIds, Map<Long, Quantity> laid) {

  public TrayHold {
    taskIds = Set.copyOf(taskIds);
    laid = Map.copyOf(laid);
  }

  boolean isFor(Demand demand) {
    return demand.unitId() == unitId && taskIds.contains(demand.line().taskId());
  }
}

package dev.lonja.core.forecast;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.TaskId;
import java.util.Map;
import java.util.Set;

/**
 * What is taken off the next occurrence of some tasks on a unit, by item: what an open tray holds
 * for it, or what was left out last time and is wanted by itself.
 */
public record TrayHold(UnitId unitId, Set<TaskId> taskIds, Map<ItemId, Quantity> laid) {

  public TrayHold {
    taskIds = Set.copyOf(taskIds);
    laid = Map.copyOf(laid);
  }

  boolean isFor(ServiceDemand demand) {
    return demand.unitId().equals(unitId) && taskIds.contains(demand.line().taskId());
  }
}

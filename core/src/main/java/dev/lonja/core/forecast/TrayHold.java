package dev.lonja.core.forecast;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.TaskId;
import java.util.Map;
import java.util.Set;

/** What an open tray holds, by item, for the next occurrence of its tasks on its unit. */
public record TrayHold(UnitId unitId, Set<TaskId> taskIds, Map<ItemId, Quantity> laid) {

  public TrayHold {
    taskIds = Set.copyOf(taskIds);
    laid = Map.copyOf(laid);
  }

  boolean isFor(Demand demand) {
    return demand.unitId().equals(unitId) && taskIds.contains(demand.line().taskId());
  }
}

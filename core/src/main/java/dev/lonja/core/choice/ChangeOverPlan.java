package dev.lonja.core.choice;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.forecast.ServiceDemand;
import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * When compartments change over from one product to another: each on the first planned day on which
 * what is left of the old product no longer covers its fill. The stock of the old product is used
 * up before; what no plan uses stays and is named.
 *
 * @param days by compartment, in the order asked for
 * @param rests of old products, above zero, of those that are not kept
 */
public record ChangeOverPlan(Map<CompartmentId, LocalDate> days, Map<ProductId, Quantity> rests) {

  /** A compartment that is to change over. */
  public record Change(CompartmentId compartmentId, ProductId from, ProductId to) {}

  /**
   * The plan. A compartment without a fill among the demands changes over today; one whose fills
   * are all covered by old stock does so on the day after the last of them.
   *
   * @param free litres of each old product that nothing else holds
   * @param demands what is expected to be filled, in order of the days
   * @param kept products that stay in use elsewhere, so that nothing of them is left over
   */
  public static ChangeOverPlan of(
      Collection<Change> changes,
      Map<ProductId, Quantity> free,
      List<ServiceDemand> demands,
      Set<ProductId> kept,
      LocalDate today) {
    Map<CompartmentId, Change> changing =
        changes.stream().collect(Collectors.toMap(Change::compartmentId, change -> change));
    Map<ProductId, Quantity> left = new LinkedHashMap<>();
    changes.forEach(change -> left.putIfAbsent(change.from(), free.get(change.from())));
    Map<CompartmentId, LocalDate> found = new LinkedHashMap<>();
    Map<CompartmentId, LocalDate> lastUse = new LinkedHashMap<>();
    for (ServiceDemand demand : demands) {
      Optional<Change> change = demand.line().destination().compartmentId().map(changing::get);
      if (change.isEmpty() || found.containsKey(change.get().compartmentId())) {
        continue;
      }
      CompartmentId id = change.get().compartmentId();
      Quantity rest = left.get(change.get().from());
      if (demand.line().toLay().compareTo(rest) > 0) {
        found.put(id, demand.date());
      } else {
        left.put(change.get().from(), rest.minus(demand.line().toLay()));
        lastUse.put(id, demand.date());
      }
    }
    lastUse.forEach((id, day) -> found.putIfAbsent(id, day.plusDays(1)));
    Map<CompartmentId, LocalDate> days = new LinkedHashMap<>();
    changes.forEach(
        change ->
            days.put(change.compartmentId(), found.getOrDefault(change.compartmentId(), today)));
    left.keySet().removeAll(kept);
    left.values().removeIf(rest -> !rest.isPositive());
    return new ChangeOverPlan(days, left);
  }
}

package dev.lonja.core.forecast;

import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.take.TakeLine;
import java.util.ArrayList;
import java.util.Currency;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * What is expected to be used and what that costs, by who uses it. Amounts are rounded once for
 * each unit and item, so that every sum is the sum of what is shown.
 *
 * @param uses in order of unit and item; what nobody's machine uses comes first
 * @param drained how much of some fluids services are expected to drain, which is what they fill in
 *     its place
 */
public record PlannedCost(List<Use> uses, Map<ItemId, Quantity> drained) {

  public PlannedCost {
    uses = List.copyOf(uses);
    drained = Map.copyOf(drained);
  }

  /**
   * What one unit uses of an item.
   *
   * @param unit empty for the workshop itself
   * @param cost empty if nobody knows a price
   */
  public record Use(Optional<String> unit, ItemId item, Quantity quantity, Optional<Money> cost) {}

  /**
   * @param demands of the plan line
   * @param prices by item; one that is absent has none
   * @param fluids that are drained before they are filled in anew
   */
  public static PlannedCost of(
      List<Demand> demands, Map<ItemId, UnitPrice> prices, Set<ItemId> fluids) {
    Map<String, Map<ItemId, Quantity>> byUnit = new TreeMap<>();
    Map<ItemId, Quantity> drained = new HashMap<>();
    for (Demand demand : demands) {
      if (demand.quantity().isPositive()) {
        byUnit
            .computeIfAbsent(demand.unitCode().orElse(""), unit -> new TreeMap<>())
            .merge(demand.itemId(), demand.quantity(), Quantity::plus);
        if (fluids.contains(demand.itemId()) && drains(demand)) {
          drained.merge(demand.itemId(), demand.quantity(), Quantity::plus);
        }
      }
    }
    List<Use> uses = new ArrayList<>();
    byUnit.forEach(
        (unit, its) ->
            its.forEach(
                (item, quantity) ->
                    uses.add(
                        new Use(
                            Optional.of(unit).filter(code -> !code.isEmpty()),
                            item,
                            quantity,
                            Optional.ofNullable(prices.get(item))
                                .map(price -> price.valueOf(quantity))))));
    return new PlannedCost(uses, drained);
  }

  /** A fill of what was dry drains nothing. */
  private static boolean drains(Demand demand) {
    return demand instanceof ServiceDemand service
        && service.line().reason() instanceof TakeLine.Reason.Fill fill
        && fill.filledIn() != FillCondition.DRY;
  }

  /** What all of it costs, as far as there are prices. */
  public Money cost(Currency currency) {
    return uses.stream()
        .flatMap(use -> use.cost().stream())
        .reduce(Money.zero(currency), Money::plus);
  }
}

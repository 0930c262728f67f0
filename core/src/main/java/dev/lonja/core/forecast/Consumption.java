package dev.lonja.core.forecast;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.take.KitShelf;
import dev.lonja.core.take.TakeLine;
import java.util.Currency;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What plans are expected to take, whatever lies on trays already.
 *
 * @param occurrences of all plans
 * @param byItem the expected quantity, above zero
 */
public record Consumption(int occurrences, Map<ItemId, Quantity> byItem) {

  public Consumption {
    byItem = Map.copyOf(byItem);
  }

  /** What all occurrences of these plans take; one whose tray is out takes nothing more. */
  public static Consumption of(List<UnitPlan> plans) {
    return of(plans, KitShelf.NONE);
  }

  /**
   * The same with kits taken where the school in force for each unit says so, and with what is
   * expected back of them taken off what is used loose.
   */
  public static Consumption of(List<UnitPlan> plans, KitShelf kits) {
    Map<ItemId, Quantity> byItem = new HashMap<>();
    int occurrences = 0;
    for (UnitPlan plan : plans) {
      occurrences += plan.occurrences().size();
      UnitDemand loose = UnitDemand.of(plan);
      for (ServiceDemand demand : KitDemand.of(loose, plan.needs().ways(), kits).demands()) {
        byItem.merge(demand.itemId(), demand.quantity(), Quantity::plus);
        if (demand.line().reason() instanceof TakeLine.Reason.Kit kit) {
          kit.back().forEach((item, left) -> byItem.merge(item, left.negated(), Quantity::plus));
        }
      }
    }
    // what comes back of kits serves others, as far as they take it
    byItem.values().removeIf(quantity -> !quantity.isPositive());
    return new Consumption(occurrences, byItem);
  }

  /** Everything that is measured like this, added up. */
  public Quantity total(Measure measure) {
    return byItem.values().stream()
        .filter(quantity -> quantity.measure() == measure)
        .reduce(Quantity.zero(measure), Quantity::plus);
  }

  /** What is expected of one item, in what it is measured in elsewhere. */
  public Quantity of(ItemId item, Measure measure) {
    return byItem.getOrDefault(item, Quantity.zero(measure));
  }

  /** What it costs; items without a price are left out. */
  public Money cost(Map<ItemId, UnitPrice> prices, Currency currency) {
    Money cost = Money.zero(currency);
    for (Map.Entry<ItemId, Quantity> used : byItem.entrySet()) {
      UnitPrice price = prices.get(used.getKey());
      cost = price == null ? cost : cost.plus(price.valueOf(used.getValue()));
    }
    return cost;
  }

  /**
   * The items of which another consumption takes more or less, in order of their numbers.
   *
   * @param other what is taken instead
   */
  public Map<ItemId, Change> changesTo(Consumption other) {
    Map<ItemId, Change> changes = new TreeMap<>();
    byItem.forEach(
        (item, now) -> changes.put(item, new Change(now, other.of(item, now.measure()))));
    other.byItem.forEach(
        (item, then) -> changes.put(item, new Change(of(item, then.measure()), then)));
    changes.values().removeIf(change -> change.now().equals(change.then()));
    return changes;
  }

  /** How much of an item is taken, and how much would be. */
  public record Change(Quantity now, Quantity then) {}
}

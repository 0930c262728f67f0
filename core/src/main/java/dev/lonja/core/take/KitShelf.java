package dev.lonja.core.take;

import dev.lonja.core.fleet.Variant;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.Boxes;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The kits that a store keeps, and what has to be known to choose between a kit and loose parts.
 *
 * @param kits what is in each; one of nothing is no kit
 * @param ranges which machines each is made for; one that is absent is for any
 * @param prices what one of a kit or of a part costs; what has no price is absent
 * @param averages the moving average cost of what is on the shelf; what never moved is absent
 * @param yearUse what the fleet is expected to use loose within twelve months; above zero
 */
public record KitShelf(
    Map<ItemId, List<Boxes.Content>> kits,
    Map<ItemId, List<KitRange>> ranges,
    Map<ItemId, UnitPrice> prices,
    Map<ItemId, UnitPrice> averages,
    Map<ItemId, Quantity> yearUse) {

  /** Of a store without kits. */
  public static final KitShelf NONE =
      new KitShelf(Map.of(), Map.of(), Map.of(), Map.of(), Map.of());

  public KitShelf {
    kits = Map.copyOf(kits);
    ranges = Map.copyOf(ranges);
    prices = Map.copyOf(prices);
    averages = Map.copyOf(averages);
    yearUse = Map.copyOf(yearUse);
  }

  /** The kits that are made for a machine; those of which that is not known stay on the shelf. */
  KitShelf madeFor(Variant machine) {
    Map<ItemId, List<Boxes.Content>> its = new HashMap<>(kits);
    ranges.forEach(
        (kit, of) -> {
          if (KitRange.judge(of, machine) != KitRange.Answer.IN) {
            its.remove(kit);
          }
        });
    return new KitShelf(its, ranges, prices, averages, yearUse);
  }
}

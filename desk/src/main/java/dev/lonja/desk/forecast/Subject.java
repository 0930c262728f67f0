package dev.lonja.desk.forecast;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.forecast.Cover;
import dev.lonja.core.forecast.Demand;
import dev.lonja.core.forecast.IsoWeek;
import dev.lonja.core.item.Item;
import dev.lonja.core.quantity.Quantity;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What one line of Ahead is about: an item, or a fluid in all its packs, with what is free and what
 * is expected to be used, in order of date.
 */
public record Subject(
    List<Item> items, Optional<Product> product, Quantity free, Cover cover, List<Demand> demands) {

  /** The item that stands for the subject: of a fluid, the pack that is asked for most. */
  public Item lead() {
    return demands.stream()
        .map(Demand::itemId)
        .findFirst()
        .flatMap(id -> items.stream().filter(item -> item.id().equals(id)).findFirst())
        .orElse(items.get(0));
  }

  /** What is expected to be used, by week; weeks without use are absent. */
  public SortedMap<IsoWeek, Quantity> byWeek() {
    SortedMap<IsoWeek, Quantity> weeks = new TreeMap<>();
    for (Demand demand : demands) {
      if (!demand.quantity().isZero()) {
        weeks.merge(IsoWeek.of(demand.date()), demand.quantity(), Quantity::plus);
      }
    }
    return weeks;
  }
}

package dev.lonja.desk.fleet;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.Boxes;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.PartId;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.take.KitRange;
import dev.lonja.store.Session;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The kits that the store keeps.
 *
 * @param contents of each
 * @param ranges which machines each is made for, where that is stated
 * @param prices the lowest of each kit and of what is in any, where one is known
 */
record KitPrices(
    Map<ItemId, List<Boxes.Content>> contents,
    Map<ItemId, List<KitRange>> ranges,
    Map<ItemId, UnitPrice> prices) {

  static KitPrices load(Session session) {
    Boxes boxes = session.boxes().ofStockedItems();
    Map<ItemId, List<Boxes.Content>> contents = new HashMap<>();
    Map<ItemId, List<KitRange>> ranges = new HashMap<>();
    Map<PartId, List<KitRange>> stated = session.kitRanges().all();
    for (Item kit : session.items().ofFamily(Family.KIT)) {
      if (kit.keeping().retiredOn().isEmpty() && !boxes.of(kit.id()).isEmpty()) {
        contents.put(kit.id(), boxes.of(kit.id()));
        Optional.ofNullable(stated.get(kit.partId())).ifPresent(of -> ranges.put(kit.id(), of));
      }
    }
    return new KitPrices(contents, ranges, session.supplies().lowestPrices(items(contents)));
  }

  Set<ItemId> items() {
    return items(contents);
  }

  private static Set<ItemId> items(Map<ItemId, List<Boxes.Content>> contents) {
    Set<ItemId> items = new HashSet<>(contents.keySet());
    contents.values().stream()
        .flatMap(List::stream)
        .forEach(content -> items.addAll(content.items()));
    return items;
  }
}

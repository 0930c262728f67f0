package dev.lonja.store.ledger;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.quantity.Quantity;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;

/** What may be issued as new and is spoken for by nobody: all over the store, or at one place. */
@FunctionalInterface
public interface FreeStock {

  /** By item; one of which nothing is free may be absent. */
  Map<ItemId, Quantity> of(Collection<ItemId> items);

  /** What is known to be free at a place. */
  static FreeStock at(Map<StockKey, Quantity> there) {
    return items -> {
      Map<ItemId, Quantity> free = new HashMap<>();
      for (ItemId item : items) {
        Quantity quantity = there.get(StockKey.ofNew(item));
        if (quantity != null) {
          free.put(item, quantity);
        }
      }
      return free;
    };
  }
}

package dev.lonja.desk.supplier;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.store.Session;
import java.util.Collection;
import java.util.Map;

/** What items cost. */
public final class ItemPrices {

  private ItemPrices() {}

  /** The lowest price of each, else what it is worth on the shelf; what has neither is absent. */
  public static Map<ItemId, UnitPrice> of(Session session, Collection<ItemId> items) {
    Map<ItemId, UnitPrice> prices = session.ledger().averages(items);
    prices.putAll(session.supplies().lowestPrices(items));
    return prices;
  }
}

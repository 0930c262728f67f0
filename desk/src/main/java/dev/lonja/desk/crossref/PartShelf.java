package dev.lonja.desk.crossref;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.PartId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.FreeStock;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What the store has of some parts: the items that they are stocked as, what of each is free, and
 * the lowest price known, for those who may see money.
 */
public record PartShelf(
    Map<PartId, Item> items, Map<ItemId, Quantity> free, Map<ItemId, UnitPrice> prices) {

  public static PartShelf of(Session session, LocalDate today, Collection<PartId> parts) {
    return of(session, ids -> session.ledger().free(today, ids), parts);
  }

  private static PartShelf of(Session session, FreeStock stock, Collection<PartId> parts) {
    Map<PartId, Item> items = session.items().byParts(parts);
    List<ItemId> ids = items.values().stream().map(Item::id).toList();
    return new PartShelf(items, stock.of(ids), Map.of());
  }

  /** The same with prices, of what is free somewhere. */
  static PartShelf priced(Session session, FreeStock stock, Collection<PartId> parts) {
    PartShelf plain = of(session, stock, parts);
    List<ItemId> ids = plain.items.values().stream().map(Item::id).toList();
    return new PartShelf(plain.items, plain.free, session.supplies().lowestPrices(ids));
  }

  /** The stocked item of a part. */
  public Optional<Item> item(PartId part) {
    return Optional.ofNullable(items.get(part));
  }

  /** What of an item is usable and on no tray. */
  public Quantity freeOf(Item item) {
    return free.getOrDefault(item.id(), Quantity.zero(item.measure()));
  }

  /** What of a part is usable and on no tray; empty if it is not stocked. */
  public Optional<Quantity> free(PartId part) {
    return item(part).map(this::freeOf);
  }

  public Optional<UnitPrice> priceOf(Item item) {
    return Optional.ofNullable(prices.get(item.id()));
  }

  /** The same without what things cost. */
  PartShelf withoutPrices() {
    return new PartShelf(items, free, Map.of());
  }
}

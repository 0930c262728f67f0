package dev.lonja.core.ledger;

import dev.lonja.core.item.ItemId;
import java.util.Comparator;

/** Stock that is one to the ledger, with one average cost: an item in one condition. */
public record StockKey(ItemId itemId, LotCondition condition) implements Comparable<StockKey> {

  private static final Comparator<StockKey> ORDER =
      Comparator.comparing(StockKey::itemId).thenComparing(StockKey::condition);

  /** An item as it comes from its maker. */
  public static StockKey ofNew(ItemId itemId) {
    return new StockKey(itemId, LotCondition.NEW);
  }

  @Override
  public int compareTo(StockKey other) {
    return ORDER.compare(this, other);
  }
}

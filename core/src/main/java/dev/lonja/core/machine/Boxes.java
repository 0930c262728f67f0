package dev.lonja.core.machine;

import dev.lonja.core.item.ItemId;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What comes in the boxes of items, so that it need not be laid once more.
 *
 * @param byItem by the item in whose box it comes; items with nothing else in the box are absent
 */
public record Boxes(Map<ItemId, List<Content>> byItem) {

  public static final Boxes NONE = new Boxes(Map.of());

  private static final List<Content> NOTHING = List.of();

  /**
   * Something in a box.
   *
   * @param items the items of the store that are the same thing; none if it is not stocked
   * @param quantity pieces in one box
   */
  public record Content(Set<ItemId> items, int quantity) {
    public Content {
      items = Set.copyOf(items);
    }
  }

  public Boxes {
    byItem = Map.copyOf(byItem);
  }

  /** What comes in the box of an item; nothing for one that is not listed. */
  public List<Content> of(ItemId item) {
    return byItem.getOrDefault(item, List.of());
  }
}

package dev.lonja.core.service;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import java.math.BigDecimal;
import java.util.ArrayList;
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

  /**
   * The lines without what the boxes of others among them bring. Only what is replaced every time
   * counts on either side: the box of a part that may not be opened brings nothing. A line that a
   * box covers whole is dropped, and then its own box brings nothing either.
   */
  List<TakeLine> without(List<TakeLine> lines) {
    List<TakeLine> left = new ArrayList<>(lines);
    for (int box = 0; box < left.size(); box++) {
      for (Content content : isCertain(left.get(box)) ? of(left.get(box).itemId()) : NOTHING) {
        takeOut(left, box, content);
      }
    }
    left.removeIf(line -> !line.toLay().isPositive());
    return left;
  }

  private static void takeOut(List<TakeLine> left, int box, Content content) {
    Quantity brought = left.get(box).toLay().times(BigDecimal.valueOf(content.quantity()));
    for (int i = 0; i < left.size(); i++) {
      TakeLine line = left.get(i);
      if (i != box && isCertain(line) && content.items().contains(line.itemId())) {
        Quantity covered = brought.min(line.toLay());
        brought = brought.minus(covered);
        left.set(i, line.less(covered));
      }
    }
  }

  private static boolean isCertain(TakeLine line) {
    return line.toLay().measure() == Measure.PIECES
        && !(line.reason() instanceof TakeLine.Reason.OnInspection);
  }
}

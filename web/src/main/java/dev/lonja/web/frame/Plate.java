package dev.lonja.web.frame;

import dev.lonja.core.item.Item;
import dev.lonja.core.part.Part;
import java.util.Optional;

/**
 * What stands on a part number's plate, and where it leads.
 *
 * @param itemId 0 for a part that is not stocked
 */
public record Plate(String path, long itemId, long partId, String make, String number) {

  public static Plate of(Item item) {
    return new Plate("/items/" + item.id(), item.id(), item.partId(), item.make(), item.number());
  }

  /** A part's plate; it leads to the item where there is one. */
  public static Plate of(Part part, Optional<Item> stocked) {
    return stocked
        .map(Plate::of)
        .orElseGet(
            () -> new Plate("/parts/" + part.id(), 0, part.id(), part.make(), part.number()));
  }
}

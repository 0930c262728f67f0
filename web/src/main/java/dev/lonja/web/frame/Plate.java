package dev.lonja.web.frame;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import java.util.Optional;

/**
 * What stands on a part number's plate, and where it leads.
 *
 * @param itemId empty for a part that is not stocked
 */
public record Plate(
    String path, Optional<ItemId> itemId, PartId partId, String make, String number) {

  /** The item, where there is one. */
  public ItemId item() {
    return itemId.orElseThrow();
  }

  public static Plate of(Item item) {
    return new Plate(
        "/items/" + item.id(), Optional.of(item.id()), item.partId(), item.make(), item.number());
  }

  /** A part's plate; it leads to the item where there is one. */
  public static Plate of(Part part, Optional<Item> stocked) {
    return stocked
        .map(Plate::of)
        .orElseGet(
            () ->
                new Plate(
                    "/parts/" + part.id(),
                    Optional.empty(),
                    part.id(),
                    part.make(),
                    part.number()));
  }
}

package dev.lonja.web.frame;

import dev.lonja.core.item.Item;

/** What stands on a part number's plate, and where it leads. */
public record Plate(long itemId, String make, String number) {

  public static Plate of(Item item) {
    return new Plate(item.id(), item.make(), item.number());
  }
}

package dev.lonja.desk.find;

import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.Part;
import dev.lonja.core.tray.TrayId;
import java.util.List;
import java.util.Optional;

/** What a query leads to. */
public sealed interface Found {

  /** The name of a unit. */
  record AUnit(Unit unit) implements Found {}

  /** The number of a tray. */
  record ATray(TrayId id) implements Found {}

  /** A barcode of an item. */
  record AnItem(ItemId id) implements Found {}

  /** A number that one part alone has. */
  record OnePart(Part part, Optional<Item> stocked) implements Found {}

  /** The address of a bin, with what is at home there. */
  record InBin(Item.Bin bin, Hits hits) implements Found {}

  /**
   * Positions of a unit, with what is preferred at each.
   *
   * @param asked the words that named them
   */
  record OnUnit(Unit unit, String asked, List<Place> places) implements Found {}

  /**
   * Numbers, makes, families and words; several may be meant.
   *
   * @param exact parts of just this number
   * @param tooShort true if the number is too short to look for beginnings and words
   */
  record Numbers(List<Part> exact, boolean tooShort, Hits hits) implements Found {}

  /** No letter and no digit was typed. */
  record NoNumber() implements Found {}

  /** A position with what it takes; empty if nothing was chosen for it. */
  record Place(Position position, Optional<Item> takes) {}
}

package dev.lonja.core.item;

import dev.lonja.core.part.Family;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Volume;
import java.util.Optional;

/**
 * A stocked thing with its own shelf label: one make, one part number, one pack.
 *
 * @param number as printed
 * @param product present for fluids, and then {@code pack} is too
 * @param filterVolume the oil a filter takes up, where known
 * @param homeBin the bin it belongs in
 * @param version counts the edits, so that two people do not overwrite each other
 */
public record Item(
    long id,
    String make,
    String number,
    String description,
    Family family,
    Measure measure,
    Optional<Product> product,
    Optional<Volume> pack,
    Optional<Volume> filterVolume,
    Bin homeBin,
    long version) {

  /** A storage place; {@code walkOrder} says where it comes on the walk through the store. */
  public record Bin(long id, String address, int walkOrder) {}

  public PartKey key() {
    return PartKey.of(number).orElseThrow();
  }
}

package dev.lonja.core.item;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.PartId;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.place.BinId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import java.time.LocalDate;
import java.util.Optional;

/**
 * A stocked thing with its own shelf label: one make, one part number, one pack.
 *
 * @param partId the part it is, as its maker numbers it
 * @param number as printed
 * @param product present for fluids
 * @param pack what a container holds; present for what is not counted in pieces
 * @param filterVolume the oil a filter takes up, where known
 * @param homeBin the bin it belongs in
 * @param version counts the edits, so that two people do not overwrite each other
 */
public record Item(
    ItemId id,
    PartId partId,
    String make,
    String number,
    String description,
    Family family,
    Measure measure,
    Optional<Product> product,
    Optional<Quantity> pack,
    Optional<Volume> filterVolume,
    Bin homeBin,
    Keeping keeping,
    long version) {

  /**
   * How an item is kept.
   *
   * @param shelfLifeDays unopened, from receipt
   * @param openLifeDays once opened
   * @param runningOut true if it is used up and not bought again
   * @param retiredOn since when it is not kept any more
   * @param criticality what it means if it is not there
   */
  public record Keeping(
      Optional<Integer> shelfLifeDays,
      Optional<Integer> openLifeDays,
      boolean runningOut,
      Optional<LocalDate> retiredOn,
      Criticality criticality) {

    /** One that is as critical as most. */
    public Keeping(
        Optional<Integer> shelfLifeDays,
        Optional<Integer> openLifeDays,
        boolean runningOut,
        Optional<LocalDate> retiredOn) {
      this(shelfLifeDays, openLifeDays, runningOut, retiredOn, Criticality.NORMAL);
    }

    public static final Keeping PLAIN =
        new Keeping(Optional.empty(), Optional.empty(), false, Optional.empty());
  }

  /**
   * A storage place.
   *
   * @param walkOrder where it comes on the walk through the store
   * @param place the store that it stands in
   */
  public record Bin(BinId id, String address, int walkOrder, Place place) {
    /** One of the main store. */
    public Bin(BinId id, String address, int walkOrder) {
      this(id, address, walkOrder, Place.MAIN);
    }
  }

  /**
   * True if it is received with a lot: fluids, and what keeps for a time only. Anything else may be
   * received without, and counts by the day it came.
   */
  public boolean needsLot() {
    return product.isPresent() || keeping.shelfLifeDays().isPresent();
  }

  /** What a container of a fluid holds; empty for anything else. */
  public Optional<Volume> litres() {
    return pack.filter(quantity -> quantity.measure() == Measure.LITRES)
        .map(quantity -> new Volume(quantity.millionths()));
  }

  public PartKey key() {
    return PartKey.of(number).orElseThrow();
  }
}

package dev.lonja.core.ledger;

/** A lot of an item in a bin: where a quantity lies. A lot is never named without its item. */
public record Place(long itemId, long lotId, long binId) {

  /** The same lot in another bin. */
  Place in(long otherBinId) {
    return new Place(itemId, lotId, otherBinId);
  }
}

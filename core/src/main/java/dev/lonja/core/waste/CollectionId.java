package dev.lonja.core.waste;

import dev.lonja.core.quantity.RowNumber;

/** The number of a waste collection, 1 or more; what is not stored yet has none. */
public record CollectionId(long value) {

  public CollectionId {
    RowNumber.check("waste collection", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static CollectionId valueOf(String digits) {
    return new CollectionId(Long.parseLong(digits));
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

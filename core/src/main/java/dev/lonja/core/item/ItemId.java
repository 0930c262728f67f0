package dev.lonja.core.item;

import dev.lonja.core.quantity.RowNumber;

/** The number of a stocked item, 1 or more; what is not stored yet has none. */
public record ItemId(long value) implements Comparable<ItemId> {

  public ItemId {
    RowNumber.check("item", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static ItemId valueOf(String digits) {
    return new ItemId(Long.parseLong(digits));
  }

  @Override
  public int compareTo(ItemId other) {
    return Long.compare(value, other.value);
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

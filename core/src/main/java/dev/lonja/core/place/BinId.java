package dev.lonja.core.place;

import dev.lonja.core.quantity.RowNumber;

/** The number of a bin, 1 or more; what is not stored yet has none. */
public record BinId(long value) implements Comparable<BinId> {

  public BinId {
    RowNumber.check("bin", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static BinId valueOf(String digits) {
    return new BinId(Long.parseLong(digits));
  }

  @Override
  public int compareTo(BinId other) {
    return Long.compare(value, other.value);
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

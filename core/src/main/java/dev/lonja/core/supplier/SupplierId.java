package dev.lonja.core.supplier;

import dev.lonja.core.quantity.RowNumber;

/** The number of a stocked supplier, 1 or more; what is not stored yet has none. */
public record SupplierId(long value) implements Comparable<SupplierId> {

  public SupplierId {
    RowNumber.check("supplier", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static SupplierId valueOf(String digits) {
    return new SupplierId(Long.parseLong(digits));
  }

  @Override
  public int compareTo(SupplierId other) {
    return Long.compare(value, other.value);
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

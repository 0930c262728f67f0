package dev.lonja.core.part;

import dev.lonja.core.quantity.RowNumber;

/** The number of a part, stocked or not, 1 or more; what is not stored yet has none. */
public record PartId(long value) implements Comparable<PartId> {

  public PartId {
    RowNumber.check("part", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static PartId valueOf(String digits) {
    return new PartId(Long.parseLong(digits));
  }

  @Override
  public int compareTo(PartId other) {
    return Long.compare(value, other.value);
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

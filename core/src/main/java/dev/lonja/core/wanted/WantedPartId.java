package dev.lonja.core.wanted;

import dev.lonja.core.quantity.RowNumber;

/** The number of a wanted part, 1 or more; what is not stored yet has none. */
public record WantedPartId(long value) implements Comparable<WantedPartId> {

  public WantedPartId {
    RowNumber.check("wanted part", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static WantedPartId valueOf(String digits) {
    return new WantedPartId(Long.parseLong(digits));
  }

  @Override
  public int compareTo(WantedPartId other) {
    return Long.compare(value, other.value);
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

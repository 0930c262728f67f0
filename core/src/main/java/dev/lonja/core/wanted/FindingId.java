package dev.lonja.core.wanted;

import dev.lonja.core.quantity.RowNumber;

/** The number of a finding, 1 or more; what is not stored yet has none. */
public record FindingId(long value) implements Comparable<FindingId> {

  public FindingId {
    RowNumber.check("finding", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static FindingId valueOf(String digits) {
    return new FindingId(Long.parseLong(digits));
  }

  @Override
  public int compareTo(FindingId other) {
    return Long.compare(value, other.value);
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

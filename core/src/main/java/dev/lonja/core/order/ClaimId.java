package dev.lonja.core.order;

import dev.lonja.core.quantity.RowNumber;

/** The number of a stocked claim, 1 or more; what is not stored yet has none. */
public record ClaimId(long value) implements Comparable<ClaimId> {

  public ClaimId {
    RowNumber.check("claim", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static ClaimId valueOf(String digits) {
    return new ClaimId(Long.parseLong(digits));
  }

  @Override
  public int compareTo(ClaimId other) {
    return Long.compare(value, other.value);
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

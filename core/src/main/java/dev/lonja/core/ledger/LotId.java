package dev.lonja.core.ledger;

import dev.lonja.core.quantity.RowNumber;

/** The number of a lot of an item, 1 or more; what is not stored yet has none. */
public record LotId(long value) implements Comparable<LotId> {

  public LotId {
    RowNumber.check("lot", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static LotId valueOf(String digits) {
    return new LotId(Long.parseLong(digits));
  }

  @Override
  public int compareTo(LotId other) {
    return Long.compare(value, other.value);
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

package dev.lonja.core.count;

import dev.lonja.core.quantity.RowNumber;

/** The number of a stored count, 1 or more; what is not stored yet has none. */
public record CountId(long value) {

  public CountId {
    RowNumber.check("count", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static CountId valueOf(String digits) {
    return new CountId(Long.parseLong(digits));
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

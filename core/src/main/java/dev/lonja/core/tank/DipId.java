package dev.lonja.core.tank;

import dev.lonja.core.quantity.RowNumber;

/** The number of a stored dip, 1 or more; what is not stored yet has none. */
public record DipId(long value) {

  public DipId {
    RowNumber.check("dip", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static DipId valueOf(String digits) {
    return new DipId(Long.parseLong(digits));
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

package dev.lonja.core.tank;

import dev.lonja.core.quantity.RowNumber;

/** The number of a tank, 1 or more; what is not stored yet has none. */
public record TankId(long value) {

  public TankId {
    RowNumber.check("tank", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static TankId valueOf(String digits) {
    return new TankId(Long.parseLong(digits));
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

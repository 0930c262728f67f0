package dev.lonja.core.tank;

import dev.lonja.core.quantity.RowNumber;

/** The number of a stored dispenser, 1 or more; what is not stored yet has none. */
public record DispenserId(long value) {

  public DispenserId {
    RowNumber.check("dispenser", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static DispenserId valueOf(String digits) {
    return new DispenserId(Long.parseLong(digits));
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

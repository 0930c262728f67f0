package dev.lonja.core.fleet;

import dev.lonja.core.quantity.RowNumber;

/** The number of a machine of the fleet, 1 or more; what is not stored yet has none. */
public record UnitId(long value) implements Comparable<UnitId> {

  public UnitId {
    RowNumber.check("unit", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static UnitId valueOf(String digits) {
    return new UnitId(Long.parseLong(digits));
  }

  @Override
  public int compareTo(UnitId other) {
    return Long.compare(value, other.value);
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

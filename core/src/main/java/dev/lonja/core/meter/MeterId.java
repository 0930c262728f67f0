package dev.lonja.core.meter;

import dev.lonja.core.quantity.RowNumber;

/** The number of a meter of a unit, 1 or more; what is not stored yet has none. */
public record MeterId(long value) implements Comparable<MeterId> {

  public MeterId {
    RowNumber.check("meter", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static MeterId valueOf(String digits) {
    return new MeterId(Long.parseLong(digits));
  }

  @Override
  public int compareTo(MeterId other) {
    return Long.compare(value, other.value);
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

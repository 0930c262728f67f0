package dev.lonja.core.fleet;

import dev.lonja.core.quantity.RowNumber;

/** The number of a compartment of an engine variant, 1 or more; what is not stored yet has none. */
public record CompartmentId(long value) implements Comparable<CompartmentId> {

  public CompartmentId {
    RowNumber.check("compartment", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static CompartmentId valueOf(String digits) {
    return new CompartmentId(Long.parseLong(digits));
  }

  @Override
  public int compareTo(CompartmentId other) {
    return Long.compare(value, other.value);
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

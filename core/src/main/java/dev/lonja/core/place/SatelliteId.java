package dev.lonja.core.place;

import dev.lonja.core.quantity.RowNumber;

/** The number of a satellite, 1 or more; what is not stored yet has none. */
public record SatelliteId(long value) implements Comparable<SatelliteId> {

  public SatelliteId {
    RowNumber.check("satellite", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static SatelliteId valueOf(String digits) {
    return new SatelliteId(Long.parseLong(digits));
  }

  @Override
  public int compareTo(SatelliteId other) {
    return Long.compare(value, other.value);
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

package dev.lonja.core.fleet;

import dev.lonja.core.quantity.RowNumber;

/** The number of a position of an engine variant, 1 or more; what is not stored yet has none. */
public record PositionId(long value) implements Comparable<PositionId> {

  public PositionId {
    RowNumber.check("position", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static PositionId valueOf(String digits) {
    return new PositionId(Long.parseLong(digits));
  }

  @Override
  public int compareTo(PositionId other) {
    return Long.compare(value, other.value);
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

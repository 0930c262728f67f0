package dev.lonja.core.tray;

import dev.lonja.core.quantity.RowNumber;

/** The number of a tray, 1 or more; what is not stored yet has none. */
public record TrayId(long value) implements Comparable<TrayId> {

  public TrayId {
    RowNumber.check("tray", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static TrayId valueOf(String digits) {
    return new TrayId(Long.parseLong(digits));
  }

  @Override
  public int compareTo(TrayId other) {
    return Long.compare(value, other.value);
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

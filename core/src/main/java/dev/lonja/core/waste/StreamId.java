package dev.lonja.core.waste;

import dev.lonja.core.quantity.RowNumber;

/** The number of a waste stream, 1 or more; what is not stored yet has none. */
public record StreamId(long value) {

  public StreamId {
    RowNumber.check("waste stream", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static StreamId valueOf(String digits) {
    return new StreamId(Long.parseLong(digits));
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

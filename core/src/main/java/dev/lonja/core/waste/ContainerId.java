package dev.lonja.core.waste;

import dev.lonja.core.quantity.RowNumber;

/** The number of a waste container, 1 or more; what is not stored yet has none. */
public record ContainerId(long value) {

  public ContainerId {
    RowNumber.check("waste container", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static ContainerId valueOf(String digits) {
    return new ContainerId(Long.parseLong(digits));
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

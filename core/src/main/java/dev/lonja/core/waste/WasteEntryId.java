package dev.lonja.core.waste;

import dev.lonja.core.quantity.RowNumber;

/** The number of a waste entry, 1 or more; what is not stored yet has none. */
public record WasteEntryId(long value) {

  public WasteEntryId {
    RowNumber.check("waste entry", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static WasteEntryId valueOf(String digits) {
    return new WasteEntryId(Long.parseLong(digits));
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

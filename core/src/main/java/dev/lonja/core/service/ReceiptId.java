package dev.lonja.core.service;

import dev.lonja.core.quantity.RowNumber;

/** The number of a receipt that proves work on a machine, 1 or more. */
public record ReceiptId(long value) {

  public ReceiptId {
    RowNumber.check("receipt", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static ReceiptId valueOf(String digits) {
    return new ReceiptId(Long.parseLong(digits));
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

package dev.lonja.core.order;

import dev.lonja.core.quantity.RowNumber;

/** The number of a kept invoice, 1 or more; what is not stored yet has none. */
public record InvoiceId(long value) implements Comparable<InvoiceId> {

  public InvoiceId {
    RowNumber.check("invoice", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static InvoiceId valueOf(String digits) {
    return new InvoiceId(Long.parseLong(digits));
  }

  @Override
  public int compareTo(InvoiceId other) {
    return Long.compare(value, other.value);
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

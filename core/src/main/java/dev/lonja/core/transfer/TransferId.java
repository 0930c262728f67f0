package dev.lonja.core.transfer;

import dev.lonja.core.quantity.RowNumber;

/** The number of a transfer, 1 or more; what is not stored yet has none. */
public record TransferId(long value) implements Comparable<TransferId> {

  public TransferId {
    RowNumber.check("transfer", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static TransferId valueOf(String digits) {
    return new TransferId(Long.parseLong(digits));
  }

  @Override
  public int compareTo(TransferId other) {
    return Long.compare(value, other.value);
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

package dev.lonja.core.order;

import dev.lonja.core.quantity.RowNumber;

/** The number of a stocked order, 1 or more; what is not stored yet has none. */
public record OrderId(long value) implements Comparable<OrderId> {

  public OrderId {
    RowNumber.check("order", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static OrderId valueOf(String digits) {
    return new OrderId(Long.parseLong(digits));
  }

  @Override
  public int compareTo(OrderId other) {
    return Long.compare(value, other.value);
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

package dev.lonja.core.order;

import dev.lonja.core.quantity.RowNumber;

/** The number of a stocked line of an order, 1 or more; what is not stored yet has none. */
public record OrderLineId(long value) implements Comparable<OrderLineId> {

  public OrderLineId {
    RowNumber.check("line of an order", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static OrderLineId valueOf(String digits) {
    return new OrderLineId(Long.parseLong(digits));
  }

  @Override
  public int compareTo(OrderLineId other) {
    return Long.compare(value, other.value);
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

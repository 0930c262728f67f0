package dev.lonja.core.fluid;

import dev.lonja.core.quantity.RowNumber;

/** The number of a fluid, 1 or more; what is not stored yet has none. */
public record ProductId(long value) implements Comparable<ProductId> {

  public ProductId {
    RowNumber.check("product", value);
  }

  /** Reads plain digits; other text is refused with a NumberFormatException. */
  public static ProductId valueOf(String digits) {
    return new ProductId(Long.parseLong(digits));
  }

  @Override
  public int compareTo(ProductId other) {
    return Long.compare(value, other.value);
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

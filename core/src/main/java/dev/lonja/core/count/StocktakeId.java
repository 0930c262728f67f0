package dev.lonja.core.count;

import dev.lonja.core.quantity.RowNumber;
import java.util.Locale;

/** The number of a stored stocktake, 1 or more; what is not stored yet has none. */
public record StocktakeId(long value) {

  public StocktakeId {
    RowNumber.check("stocktake", value);
  }

  /** As the Book names it: S-0007. */
  public String number() {
    return String.format(Locale.ROOT, "S-%04d", value);
  }

  /** The plain digits, as an address or a form writes them. */
  @Override
  public String toString() {
    return Long.toString(value);
  }
}

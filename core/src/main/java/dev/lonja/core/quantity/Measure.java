package dev.lonja.core.quantity;

/**
 * What an item is counted in: whole pieces, litres for fluids and kilograms for grease, whatever
 * their pack.
 */
public enum Measure {
  PIECES("pc"),
  LITRES("L"),
  KILOGRAMS("kg");

  private final String symbol;

  Measure(String symbol) {
    this.symbol = symbol;
  }

  public String symbol() {
    return symbol;
  }

  /** The measure with this symbol; any other text is refused with an exception. */
  public static Measure ofSymbol(String symbol) {
    for (Measure measure : values()) {
      if (measure.symbol.equals(symbol)) {
        return measure;
      }
    }
    throw new IllegalArgumentException("symbol is " + symbol + "; allowed is pc, L or kg");
  }
}

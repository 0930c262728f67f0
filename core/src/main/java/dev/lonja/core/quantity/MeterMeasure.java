package dev.lonja.core.quantity;

/** What a meter counts. The highest a machine can run in a day bounds what a reading may claim. */
public enum MeterMeasure {
  HOURS("h", 24),
  KILOMETRES("km", 1_500);

  private final String symbol;
  private final int highestPerDay;

  MeterMeasure(String symbol, int highestPerDay) {
    this.symbol = symbol;
    this.highestPerDay = highestPerDay;
  }

  public String symbol() {
    return symbol;
  }

  /** The most that a day can add: 24 h or 1,500 km. */
  public MeterSpan highestPerDay() {
    return new MeterSpan(highestPerDay * 10L, this);
  }

  /** The measure with this symbol; any other text is refused with an exception. */
  public static MeterMeasure ofSymbol(String symbol) {
    for (MeterMeasure measure : values()) {
      if (measure.symbol.equals(symbol)) {
        return measure;
      }
    }
    throw new IllegalArgumentException("symbol is " + symbol + "; allowed is h or km");
  }
}

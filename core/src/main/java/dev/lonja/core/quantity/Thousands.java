package dev.lonja.core.quantity;

/** Writes whole numbers for people. */
public final class Thousands {

  private static final int GROUP = 3;

  private Thousands() {}

  /** The number with a comma before each group of three digits: "1,585", "-12,000", "7". */
  public static String apart(long number) {
    String digits = String.valueOf(number);
    int first = number < 0 ? 1 : 0;
    StringBuilder text = new StringBuilder(digits);
    for (int at = digits.length() - GROUP; at > first; at -= GROUP) {
      text.insert(at, ',');
    }
    return text.toString();
  }
}

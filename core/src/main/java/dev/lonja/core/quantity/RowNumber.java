package dev.lonja.core.quantity;

/** Numbers of stored things count from 1. */
public final class RowNumber {

  private RowNumber() {}

  /**
   * @throws IllegalArgumentException if {@code value} is below 1
   */
  public static void check(String what, long value) {
    BaseUnits.within(what, value, 1, Long.MAX_VALUE);
  }
}

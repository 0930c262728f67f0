package dev.lonja.core.inspection;

import java.math.BigDecimal;

/**
 * Replaced at every n-th inspection, whatever it looks like, and only cleaned at those between.
 *
 * @param nth 2 or more
 * @param since how often it was looked at and kept since it was replaced last, or ever if it never
 *     was
 */
public record ReplacementTurn(int nth, int since) implements ReplacementOdds {

  public ReplacementTurn {
    if (nth < 2 || since < 0) {
      throw new IllegalArgumentException(
          "nth is " + nth + ", since " + since + "; allowed are 2 or more, and 0 or more");
    }
  }

  /** True if the next inspection is one at which it is replaced. */
  public boolean isDue() {
    return since + 1 >= nth;
  }

  @Override
  public BigDecimal value() {
    return isDue() ? BigDecimal.ONE : BigDecimal.ZERO;
  }

  /** As it stands once the next inspection is done as it should be. */
  public ReplacementTurn next() {
    return new ReplacementTurn(nth, isDue() ? 0 : since + 1);
  }

  /** One whose turn it is next time, or not. */
  public ReplacementTurn standing(boolean itsTurn) {
    return new ReplacementTurn(nth, itsTurn ? nth - 1 : 0);
  }

  /** The same counted from the records. */
  public ReplacementTurn counting(int kept) {
    return new ReplacementTurn(nth, kept);
  }
}

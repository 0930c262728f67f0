package dev.lonja.core.inspection;

import java.math.BigDecimal;
import java.math.MathContext;

/**
 * How often an inspection ends in a replacement: (replaced + 1) / (inspected + 2), the mean of the
 * Beta distribution that starts even (Laplace's rule of succession), to 34 digits; 0.30 until 5
 * inspections are recorded.
 */
public record ReplacementChance(int replaced, int inspected) implements ReplacementOdds {

  /** Without records. */
  public static final ReplacementChance UNKNOWN = new ReplacementChance(0, 0);

  private static final int LEAST_INSPECTED = 5;
  private static final BigDecimal UNTIL_THEN = new BigDecimal("0.30");

  public ReplacementChance {
    if (replaced < 0 || replaced > inspected) {
      throw new IllegalArgumentException(
          "replaced is " + replaced + "; allowed is 0 to the inspections, " + inspected);
    }
  }

  /** True from five inspections on. */
  public boolean isLearned() {
    return inspected >= LEAST_INSPECTED;
  }

  /** (replaced + 1) / (inspected + 2), or 0.30 until it is learned. */
  @Override
  public BigDecimal value() {
    return isLearned()
        ? BigDecimal.valueOf(replaced + 1L)
            .divide(BigDecimal.valueOf(inspected + 2L), MathContext.DECIMAL128)
        : UNTIL_THEN;
  }
}

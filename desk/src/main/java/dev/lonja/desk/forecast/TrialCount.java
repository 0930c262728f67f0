package dev.lonja.desk.forecast;

import dev.lonja.core.trial.TrialRules;

/**
 * How many trials of the forecast are drawn.
 *
 * @param trials 100 or more: of fewer a quantile says nothing
 */
public record TrialCount(int trials) {

  public static final TrialCount USUAL = new TrialCount(TrialRules.USUAL_TRIALS);

  private static final int LEAST = 100;

  public TrialCount {
    if (trials < LEAST) {
      throw new IllegalArgumentException(
          "trials is " + trials + "; allowed is " + LEAST + " or more");
    }
  }
}

package dev.lonja.core.trial;

import dev.lonja.core.forecast.IsoWeek;
import dev.lonja.core.forecast.PlanLine;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;

/**
 * How trials are drawn. The same rules over the same fleet draw the same, whoever draws them and in
 * how many threads.
 *
 * @param seed of all chance
 * @param trials how many, 1 to {@value #MOST_TRIALS}
 * @param weeks ISO weeks, the first of which holds today, 1 to {@link PlanLine#MOST_WEEKS}
 */
public record TrialRules(long seed, int trials, LocalDate today, int weeks) {

  /** As many as a store draws unless it is told otherwise. */
  public static final int USUAL_TRIALS = 2_000;

  static final int MOST_TRIALS = 20_000;

  private static final int DAYS = 7;

  public TrialRules {
    if (!(trials >= 1 && trials <= MOST_TRIALS)) {
      throw new IllegalArgumentException(
          "trials is " + trials + "; allowed is 1 to " + MOST_TRIALS);
    }
    if (!(weeks >= 1 && weeks <= PlanLine.MOST_WEEKS)) {
      throw new IllegalArgumentException(
          "weeks is " + weeks + "; allowed is 1 to " + PlanLine.MOST_WEEKS);
    }
  }

  /** The last day of a week, counted from the one that holds today: 0, 1 and so on. */
  public LocalDate sunday(int week) {
    return IsoWeek.of(today).sunday().plusDays((long) DAYS * week);
  }

  /** Which week a day falls into; what lies before today falls into the first. */
  int week(LocalDate day) {
    long since = ChronoUnit.DAYS.between(IsoWeek.of(today).monday(), day);
    return (int) Math.max(0, Math.min(Integer.MAX_VALUE, Math.floorDiv(since, DAYS)));
  }

  /** The days of the first week from today on, today counted: 1 to 7. */
  int daysLeft() {
    return DAYS + 1 - today.getDayOfWeek().getValue();
  }

  /** How much of a week lies from today on: 1 but for the first, of which its days left count. */
  double shareLeft(int week) {
    return week == 0 ? daysLeft() / (double) DAYS : 1;
  }
}

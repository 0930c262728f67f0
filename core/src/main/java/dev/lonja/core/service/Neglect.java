package dev.lonja.core.service;

import java.util.Optional;

/**
 * Whether a task was left for so long that what it cares for counts as neglected: it is overdue by
 * more than half of its interval, by the meter or by the months (of 30 days), or it is overdue and
 * nobody ever noted that it was done. The half is ours; practitioners say only "neglected".
 */
public final class Neglect {

  private static final int DAYS_OF_HALF_A_MONTH = 15;

  private Neglect() {}

  /** True for a task that was neglected as it stands due. */
  public static boolean is(Due due) {
    if (!due.isOverdue()) {
      return false;
    }
    if (due.flags().contains(Due.Flag.NO_RECORD)) {
      return true;
    }
    Optional<Timing.ByInterval> timing = due.task().byInterval();
    return timing.filter(timed -> isFarBeyond(due, timed)).isPresent();
  }

  private static boolean isFarBeyond(Due due, Timing.ByInterval timing) {
    Interval interval = timing.interval(due.standing().origin().recorded());
    boolean byMeter =
        due.overdueRun()
            .flatMap(
                over -> timing.spanInForce(interval).map(span -> 2 * over.tenths() > span.tenths()))
            .orElse(false);
    boolean byMonths =
        due.overdueDays()
            .flatMap(
                over ->
                    interval.months().map(months -> over > (long) months * DAYS_OF_HALF_A_MONTH))
            .orElse(false);
    return byMeter || byMonths;
  }
}

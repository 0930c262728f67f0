package dev.lonja.core.reorder;

import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.trial.Band;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;

/** How long what there is lasts with an order beside it, by the trials of what is used. */
public final class Lasting {

  private Lasting() {}

  /**
   * The last day, from the arrival of an order on, at whose end enough trials have not used more
   * than there is by then; the day before the arrival if not even that day is. Empty if that lies
   * beyond the trials.
   *
   * @param ordered zero or more
   * @param arrival the day on which it is there, today or later
   * @param share of the trials that it is to last in, above 0, up to 1
   */
  public static Optional<LocalDate> until(
      Band use, Position position, Quantity ordered, LocalDate arrival, double share) {
    int first = (int) ChronoUnit.DAYS.between(use.today(), arrival);
    for (int day = first; day < use.days(); day++) {
      LocalDate on = use.today().plusDays(day);
      double there = position.by(on).plus(ordered).amount().doubleValue();
      int lacking = 0;
      for (int trial = 0; trial < use.trials(); trial++) {
        lacking += use.usedWithin(trial, day + 1) - there > 1e-9 ? 1 : 0;
      }
      if (lacking > (1 - share) * use.trials() + 1e-9) {
        return Optional.of(on.minusDays(1));
      }
    }
    return Optional.empty();
  }
}

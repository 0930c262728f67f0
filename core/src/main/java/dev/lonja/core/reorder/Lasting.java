package dev.lonja.core.reorder;

import dev.lonja.core.order.Coming;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.trial.Band;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;

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
    double allowed = (1 - share) * use.trials() + 1e-9;
    IntPredicate isLacking =
        day -> {
          Quantity there = position.by(use.today().plusDays(day)).plus(ordered);
          return use.trialsThatUseMore(there.amount().doubleValue(), day + 1) > allowed;
        };
    int from = (int) ChronoUnit.DAYS.between(use.today(), arrival);
    for (int last : lastDays(use, position, from)) {
      if (isLacking.test(last)) {
        int first = firstOf(isLacking, from, last);
        return Optional.of(use.today().plusDays(first - 1L));
      }
      from = last + 1;
    }
    return Optional.empty();
  }

  /** The days before each further delivery, and the last of all: in between there is no more. */
  private static int[] lastDays(Band use, Position position, int from) {
    IntStream deliveries =
        position.coming().stream()
            .map(Coming::on)
            .mapToInt(on -> (int) ChronoUnit.DAYS.between(use.today(), on) - 1)
            .filter(day -> day >= from && day < use.days() - 1);
    return IntStream.concat(deliveries, IntStream.of(use.days() - 1).filter(day -> day >= from))
        .sorted()
        .distinct()
        .toArray();
  }

  /** Halves the days, since what is used never falls. */
  private static int firstOf(IntPredicate isLacking, int first, int last) {
    int low = first;
    int high = last;
    while (low < high) {
      int middle = (low + high) / 2;
      if (isLacking.test(middle)) {
        high = middle;
      } else {
        low = middle + 1;
      }
    }
    return low;
  }
}

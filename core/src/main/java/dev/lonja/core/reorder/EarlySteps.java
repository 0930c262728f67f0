package dev.lonja.core.reorder;

import dev.lonja.core.forecast.Demand;
import dev.lonja.core.quantity.Quantity;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * By which steps an order may be brought forward or raised, pack by pack, as far as there is room,
 * it keeps, and it would have been ordered anyway within the plan line.
 *
 * @param quantity of the step: a pack, or the least that can be ordered where nothing is yet
 * @param days before it would have been ordered anyway
 */
public record EarlySteps(Quantity quantity, int days) {

  private static final int MOST = 40;

  /**
   * @param there free, with all that is promised and what is proposed
   * @param isBegun true if something is proposed of it
   * @param level below it an order is proposed
   * @param arrival the day on which an order of today is expected
   * @param demands of the plan line, in order of date
   */
  public static List<EarlySteps> of(
      Quantity there,
      boolean isBegun,
      OrderTerms terms,
      Quantity level,
      LocalDate today,
      LocalDate arrival,
      List<Demand> demands) {
    List<EarlySteps> steps = new ArrayList<>();
    Quantity position = there;
    while (steps.size() < MOST) {
      Quantity more = steps.isEmpty() && !isBegun ? smallest(terms) : terms.pack();
      Quantity then = position.plus(more);
      Optional<LocalDate> anyway = below(position, level, demands);
      boolean fits = terms.room().most().filter(most -> then.compareTo(most) > 0).isEmpty();
      if (anyway.isEmpty() || !fits || !keeps(then, terms, arrival, demands)) {
        return steps;
      }
      steps.add(
          new EarlySteps(more, (int) Math.max(0, ChronoUnit.DAYS.between(today, anyway.get()))));
      position = then;
    }
    return steps;
  }

  private static Quantity smallest(OrderTerms terms) {
    return PriceBreaks.inPacks(terms.smallest(), terms.pack(), RoundingMode.CEILING);
  }

  /** The first day on which so much is below the level by the plan line. */
  private static Optional<LocalDate> below(Quantity there, Quantity level, List<Demand> demands) {
    Quantity left = there;
    for (Demand demand : demands) {
      left = left.minus(demand.quantity());
      if (left.compareTo(level) < 0) {
        return Optional.of(demand.date());
      }
    }
    return Optional.empty();
  }

  /** True if all of it is used before what comes goes out of date. */
  private static boolean keeps(
      Quantity there, OrderTerms terms, LocalDate arrival, List<Demand> demands) {
    return terms
        .room()
        .shelfDays()
        .map(days -> arrival.plusDays(days))
        .filter(end -> demands.stream().anyMatch(demand -> demand.date().isAfter(end)))
        .map(
            end ->
                demands.stream()
                        .filter(demand -> !demand.date().isAfter(end))
                        .map(Demand::quantity)
                        .reduce(Quantity.zero(there.measure()), Quantity::plus)
                        .compareTo(there)
                    >= 0)
        .orElse(true);
  }
}

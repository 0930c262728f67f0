package dev.lonja.core.forecast;

import dev.lonja.core.order.Coming;
import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;

/**
 * How long free stock lasts against the plan line, with what open orders are to bring on the days
 * they are promised for. What is overdue is not reckoned with: nobody knows when it comes.
 *
 * @param free on hand less what trays hold
 * @param coming what is promised, without what is overdue
 * @param needed all that is expected within the horizon
 * @param shortOn the first day whose use is not covered; empty if all is
 */
public record Cover(
    Quantity free, Quantity coming, Quantity needed, LocalDate today, Optional<LocalDate> shortOn) {

  /**
   * @param coming in any order
   * @param demands of the item, or of all items that stand for one another, in order of date
   */
  public static Cover of(
      Quantity free, List<Coming> coming, List<Demand> demands, LocalDate today) {
    List<Coming> promised = coming.stream().filter(one -> !one.isOverdue(today)).toList();
    Quantity used = Quantity.zero(free.measure());
    Optional<LocalDate> shortOn = Optional.empty();
    for (Demand demand : demands) {
      used = used.plus(demand.quantity());
      if (shortOn.isEmpty() && used.compareTo(there(free, promised, demand.date())) > 0) {
        shortOn = Optional.of(demand.date());
      }
    }
    return new Cover(free, there(free, promised, LocalDate.MAX).minus(free), used, today, shortOn);
  }

  private static Quantity there(Quantity free, List<Coming> promised, LocalDate by) {
    return promised.stream()
        .filter(one -> !one.on().isAfter(by))
        .map(Coming::quantity)
        .reduce(free, Quantity::plus);
  }

  /** Days from today that are covered in full; empty if the stock lasts the horizon. */
  public Optional<Long> days() {
    return shortOn.map(day -> ChronoUnit.DAYS.between(today, day));
  }

  /** What is lacking at the end of the horizon, zero or more. */
  public Quantity lacking() {
    return needed.minus(free).minus(coming).atLeastZero();
  }
}

package dev.lonja.core.forecast;

import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;

/**
 * How long free stock lasts against the plan line.
 *
 * @param free on hand less what trays hold
 * @param needed all that is expected within the horizon
 * @param shortOn the first day whose use the stock does not cover; empty if it lasts the horizon
 */
public record Cover(Quantity free, Quantity needed, LocalDate today, Optional<LocalDate> shortOn) {

  /**
   * @param demands of the item, or of all items that stand for one another, in order of date
   */
  public static Cover of(Quantity free, List<Demand> demands, LocalDate today) {
    Quantity used = Quantity.zero(free.measure());
    Optional<LocalDate> shortOn = Optional.empty();
    for (Demand demand : demands) {
      used = used.plus(demand.quantity());
      if (shortOn.isEmpty() && used.compareTo(free) > 0) {
        shortOn = Optional.of(demand.date());
      }
    }
    return new Cover(free, used, today, shortOn);
  }

  /** Days from today that are covered in full; empty if the stock lasts the horizon. */
  public Optional<Long> days() {
    return shortOn.map(day -> ChronoUnit.DAYS.between(today, day));
  }

  /** What is lacking at the end of the horizon, zero or more. */
  public Quantity lacking() {
    return needed.minus(free).atLeastZero();
  }
}

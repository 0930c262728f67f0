package dev.lonja.core.reorder;

import dev.lonja.core.order.Coming;
import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.List;
import java.util.function.Predicate;

/**
 * What there is of one thing, and what open orders are to bring.
 *
 * @param free usable and on no tray
 * @param coming in any order
 */
public record Position(Quantity free, List<Coming> coming) {

  public Position {
    coming = List.copyOf(coming);
  }

  /** What there is by a day with all that is promised until then, the overdue too. */
  public Quantity by(LocalDate day) {
    return with(coming -> !coming.on().isAfter(day));
  }

  /** The same without what is overdue, which may never come. */
  Quantity surelyBy(LocalDate day, LocalDate today) {
    return with(coming -> !coming.on().isAfter(day) && !coming.isOverdue(today));
  }

  private Quantity with(Predicate<Coming> which) {
    return coming.stream().filter(which).map(Coming::quantity).reduce(free, Quantity::plus);
  }
}

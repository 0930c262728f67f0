package dev.lonja.core.forecast;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.Due;
import dev.lonja.core.service.TakeLine;
import java.time.LocalDate;

/**
 * One line of the drill-down: this much of an item for this service of this unit on this day.
 *
 * @param due when and why the task that takes it is due
 * @param held what a tray already holds of it, zero or more
 * @param repeat 0 for the first time the task comes up from today, 1 for the next, and so on
 */
public record Demand(
    UnitId unitId,
    String unitCode,
    String service,
    LocalDate date,
    Due due,
    TakeLine line,
    Quantity held,
    int repeat) {

  /** The item that is expected to be drawn. */
  public ItemId itemId() {
    return line.itemId();
  }

  /** What is still expected to be drawn: the expected quantity less what a tray holds of it. */
  public Quantity quantity() {
    return line.expected().minus(held);
  }

  Demand holding(Quantity more) {
    return new Demand(unitId, unitCode, service, date, due, line, held.plus(more), repeat);
  }
}

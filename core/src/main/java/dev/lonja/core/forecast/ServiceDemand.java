package dev.lonja.core.forecast;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.Due;
import dev.lonja.core.take.TakeLine;
import java.time.LocalDate;
import java.util.Optional;

/**
 * This much of an item for this service of this unit on this day.
 *
 * @param due when and why the task that takes it is due
 * @param held what a tray already holds of it or what is wanted of it by itself, zero or more
 * @param repeat 0 for the first time the task comes up from today, 1 for the next, and so on
 */
public record ServiceDemand(
    UnitId unitId,
    String ofUnit,
    String service,
    LocalDate date,
    Due due,
    TakeLine line,
    Quantity held,
    int repeat)
    implements Demand {

  @Override
  public ItemId itemId() {
    return line.itemId();
  }

  /** The expected quantity less what is held. */
  @Override
  public Quantity quantity() {
    return line.expected().minus(held);
  }

  @Override
  public Optional<String> unitCode() {
    return Optional.of(ofUnit);
  }

  /** The same service's for another line. */
  ServiceDemand taking(TakeLine other) {
    return new ServiceDemand(
        unitId,
        ofUnit,
        service,
        date,
        due,
        other,
        Quantity.zero(other.expected().measure()),
        repeat);
  }

  ServiceDemand holding(Quantity more) {
    return new ServiceDemand(unitId, ofUnit, service, date, due, line, held.plus(more), repeat);
  }
}

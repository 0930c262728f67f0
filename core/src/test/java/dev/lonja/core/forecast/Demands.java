package dev.lonja.core.forecast;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.meter.Fleets;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.Due;
import dev.lonja.core.service.Services;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.take.TakeLine;
import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;

/** What is expected to be filled, for worked examples. */
public final class Demands {

  private Demands() {}

  /** So many litres laid for a compartment on a day, and as many expected, of item 1. */
  public static ServiceDemand fill(long compartment, String day, String litres) {
    return fill(new ItemId(1), compartment, day, litres);
  }

  public static ServiceDemand fill(ItemId item, long compartment, String day, String litres) {
    Task task =
        Services.task(
            new TaskId(compartment),
            new Task.Action.ChangeFluid(new CompartmentId(compartment)),
            "250",
            null);
    LocalDate date = LocalDate.parse(day);
    TakeLine line =
        new TakeLine(
            task.id(),
            item,
            "sump",
            Destination.compartment(new CompartmentId(compartment)),
            Quantity.litres(litres),
            Quantity.litres(litres),
            new TakeLine.Reason.Part(""));
    Due due =
        new Due(
            Services.done(task, "2027-01-01", "800", Fleets.steady("2027-03-15", "1000", "10")),
            Optional.empty(),
            Optional.empty(),
            Optional.of(date),
            Optional.of(date),
            Optional.of(Due.Cause.METER),
            Optional.empty(),
            Optional.empty(),
            Set.of());
    return new ServiceDemand(
        new UnitId(7), "FL-9", "Oil", date, due, line, Quantity.litres("0"), 0);
  }
}

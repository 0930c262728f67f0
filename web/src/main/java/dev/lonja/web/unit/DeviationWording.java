package dev.lonja.web.unit;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.service.Deviation;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.desk.unit.UnitRecord;
import dev.lonja.web.due.IntervalWording;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.Optional;

/** How a unit deviates, in words. */
final class DeviationWording {

  private final UnitRecord unit;
  private final Cases<Deviation.Change, String> words =
      Cases.<Deviation.Change, String>over(Deviation.Change.class)
          .when(
              Deviation.Change.NoCompartment.class,
              none -> compartment(none.compartmentId()).name() + ": absent on this unit")
          .when(
              Deviation.Change.NoPosition.class,
              none -> position(none.positionId()).name() + ": absent on this unit")
          .when(
              Deviation.Change.NoTask.class,
              none -> task(none.taskId()).name() + ": not done on this unit")
          .when(
              Deviation.Change.OtherFluid.class,
              other -> compartment(other.compartmentId()).name() + ": " + number(other.itemId()))
          .when(
              Deviation.Change.OtherPart.class,
              other -> position(other.positionId()).name() + ": " + number(other.itemId()))
          .when(
              Deviation.Change.OtherCapacity.class,
              other ->
                  compartment(other.compartmentId()).name()
                      + ", "
                      + other.condition().words()
                      + ": "
                      + other.capacity().display()
                      + compartment(other.compartmentId())
                          .range(other.condition())
                          .map(listed -> ", listed " + listed.display())
                          .orElse(""))
          .when(
              Deviation.Change.OtherTorque.class,
              other -> position(other.positionId()).name() + ": " + other.torque().display())
          .when(Deviation.Change.OtherInterval.class, this::interval)
          .all();

  DeviationWording(UnitRecord unit) {
    this.unit = unit;
  }

  /** "learned, since 2 Nov 2026". */
  static String source(Deviation deviation, LocalDate today) {
    String from = deviation.source() == Deviation.Source.LEARNED ? "learned here" : "on this unit";
    return from + ", since " + Words.day(deviation.since(), today);
  }

  UnitView.DeviationRow row(Deviation deviation, LocalDate today) {
    return new UnitView.DeviationRow(
        deviation.id(),
        words.apply(deviation.change()),
        source(deviation, today),
        deviation.reason().isEmpty() ? "median of the fills until then" : deviation.reason(),
        Words.day(deviation.since(), today));
  }

  private String interval(Deviation.Change.OtherInterval other) {
    Task task = task(other.taskId());
    return task.name()
        + ": every "
        + IntervalWording.of(other.interval())
        + ", listed "
        + task.byInterval().map(timed -> IntervalWording.of(timed.regular())).orElse("");
  }

  private Compartment compartment(CompartmentId id) {
    return unit.machine().variant().compartment(id);
  }

  private Position position(PositionId id) {
    return unit.machine().variant().position(id);
  }

  private Task task(TaskId id) {
    return unit.work().makers().stream()
        .filter(task -> task.id().equals(id))
        .findFirst()
        .orElseThrow();
  }

  private String number(ItemId itemId) {
    return unit.item(Optional.of(itemId)).orElseThrow().number();
  }
}

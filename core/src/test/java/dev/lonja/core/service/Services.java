package dev.lonja.core.service;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Mounting;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterOutlook;
import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;

/** Tasks and needs for worked examples. */
public final class Services {

  public static final ItemId OIL = new ItemId(100);
  public static final ItemId FILTER = new ItemId(200);
  public static final ItemId WASHER = new ItemId(300);
  public static final CompartmentId SUMP = new CompartmentId(1);
  public static final PositionId FILTER_POSITION = new PositionId(10);

  private Services() {}

  static Interval every(String hours, Integer months) {
    return new Interval(
        Optional.ofNullable(hours).map(MeterSpan::ofHours), Optional.ofNullable(months));
  }

  public static Task task(TaskId id, String hours, Integer months) {
    return task(
        id,
        new Task.Action.Inspect(new PositionId(id.value()), ReplacementChance.UNKNOWN),
        every(hours, months),
        Optional.empty(),
        "1");
  }

  public static Task task(TaskId id, Task.Action action, String hours, Integer months) {
    return task(id, action, every(hours, months), Optional.empty(), "1");
  }

  static Task task(
      TaskId id, Task.Action action, Interval regular, Optional<Interval> first, String severity) {
    return new Task(
        id,
        "Service " + id,
        "Task " + id,
        action,
        new Timing.ByInterval(
            regular.run().map(span -> new MeterId(1)),
            regular,
            first,
            severity.equals("1")
                ? Severity.NONE
                : new Severity(new BigDecimal(severity), "dusty quay")));
  }

  public static TaskStanding done(Task task, String day, String life, MeterOutlook outlook) {
    Optional<MeterValue> value = task.meterId().map(id -> MeterValue.ofHours(life));
    return new TaskStanding(
        task, Origin.done(LocalDate.parse(day), value), task.meterId().map(id -> outlook));
  }

  static TaskStanding neverDone(Task task, String day, String life, MeterOutlook outlook) {
    Optional<MeterValue> value = task.meterId().map(id -> MeterValue.ofHours(life));
    return new TaskStanding(
        task,
        Origin.startOfService(LocalDate.parse(day), value),
        task.meterId().map(id -> outlook));
  }

  public static Compartment sump(Map<FillCondition, Volume> capacities) {
    return new Compartment(
        SUMP,
        "Sump",
        Compartment.Kind.ENGINE,
        Spec.ofKind(FluidKind.ENGINE_OIL),
        Optional.of(OIL),
        capacities,
        "",
        Optional.empty());
  }

  public static Position filter(Optional<Volume> volume) {
    return new Position(
        FILTER_POSITION,
        "Oil filter",
        Position.Kind.OIL_FILTER,
        Optional.of(SUMP),
        Optional.of(FILTER),
        1,
        Optional.empty(),
        Optional.of(Mounting.UPRIGHT),
        "",
        "",
        "",
        volume,
        Position.Limits.NONE);
  }

  static Position seal(PositionId id, CompartmentId compartmentId, int quantity) {
    return seal(id, compartmentId, quantity, "");
  }

  public static Position seal(
      PositionId id, CompartmentId compartmentId, int quantity, String drive) {
    return new Position(
        id,
        "Plug seal " + id,
        Position.Kind.DRAIN_SEAL,
        Optional.of(compartmentId),
        Optional.of(WASHER),
        quantity,
        Optional.empty(),
        Optional.empty(),
        "",
        drive,
        "",
        Optional.empty(),
        Position.Limits.NONE);
  }
}

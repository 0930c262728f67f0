package dev.lonja.core.service;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.MeterOutlook;
import dev.lonja.core.fleet.Mounting;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fluid.FluidKind;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;

/** Tasks and needs for worked examples. */
public final class Services {

  public static final long OIL = 100;
  public static final long FILTER = 200;
  public static final long WASHER = 300;
  public static final long SUMP = 1;
  public static final long FILTER_POSITION = 10;

  private Services() {}

  static Interval every(String hours, Integer months) {
    return new Interval(
        Optional.ofNullable(hours).map(MeterSpan::ofHours), Optional.ofNullable(months));
  }

  public static Task task(long id, String hours, Integer months) {
    return task(
        id,
        new Task.Action.Inspect(id, ReplacementChance.UNKNOWN),
        every(hours, months),
        Optional.empty(),
        "1");
  }

  public static Task task(long id, Task.Action action, String hours, Integer months) {
    return task(id, action, every(hours, months), Optional.empty(), "1");
  }

  static Task task(
      long id, Task.Action action, Interval regular, Optional<Interval> first, String severity) {
    return new Task(
        id,
        "Service " + id,
        "Task " + id,
        action,
        new Timing.ByInterval(
            regular.run().map(span -> 1L),
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

  static Position seal(long id, long compartmentId, int quantity) {
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
        "",
        "",
        Optional.empty(),
        Position.Limits.NONE);
  }
}

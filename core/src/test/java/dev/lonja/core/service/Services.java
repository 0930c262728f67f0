package dev.lonja.core.service;

import dev.lonja.core.calendar.UsageCalendar;
import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Filling;
import dev.lonja.core.fleet.Mounting;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fleet.Variant;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.meter.Meter;
import dev.lonja.core.meter.MeterDigest;
import dev.lonja.core.meter.MeterFile;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterNotes;
import dev.lonja.core.meter.MeterOutlook;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.meter.Reading;
import dev.lonja.core.meter.UsageRate;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
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

  public static Interval every(String hours, Integer months) {
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

  /** One that comes along with every so manieth time of another. */
  public static Task everyNth(TaskId id, TaskId lead, int nth) {
    return new Task(
        id,
        "Service " + id,
        "Task " + id,
        new Task.Action.Inspect(new PositionId(id.value()), ReplacementChance.UNKNOWN),
        new Timing.EveryNth(lead, nth));
  }

  public static Task task(
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

  /** An hour meter that was read on a day, with a declared rate. */
  public static MeterStanding meterAt(String day, String hours, String perDay) {
    return meter(
        LocalDate.parse(day),
        hours,
        Optional.of(UsageRate.declared(new BigDecimal(perDay), MeterMeasure.HOURS)));
  }

  /** An hour meter that stood at this on 1 March 2027. */
  static MeterStanding meter(String hours) {
    return meter(LocalDate.parse("2027-03-01"), hours, Optional.empty());
  }

  private static MeterStanding meter(LocalDate day, String hours, Optional<UsageRate> rate) {
    Unit unit =
        new Unit(
            new UnitId(1),
            "U-1",
            "a unit",
            new Unit.UnitClass(1, "B", "Boats"),
            new Variant(1, "Brannoch", "D25", ""),
            LocalDate.parse("2024-01-01"),
            Optional.empty(),
            0);
    Meter meter = new Meter(new MeterId(1), unit.id(), "hours", MeterValue.ofHours("0"), rate);
    Reading reading = new Reading(1, day, Optional.empty(), MeterValue.ofHours(hours));
    MeterDigest digest = MeterDigest.of(MeterNotes.of(List.of(reading)), UsageCalendar.EVEN);
    MeterFile file = new MeterFile(unit, meter, UsageCalendar.EVEN, digest);
    return MeterStanding.ofFleet(List.of(file)).get(meter.id());
  }

  public static Compartment sump(Map<FillCondition, Volume> capacities) {
    Map<FillCondition, Capacity> exact = new EnumMap<>(FillCondition.class);
    capacities.forEach((condition, volume) -> exact.put(condition, Capacity.exactly(volume)));
    return sump(exact, Filling.UNSAID);
  }

  /** The same of which a book says how it is filled, and maybe from how much to how much. */
  public static Compartment sump(Map<FillCondition, Capacity> capacities, Filling filling) {
    return new Compartment(
        SUMP,
        "Sump",
        Compartment.Kind.ENGINE,
        Spec.ofKind(FluidKind.ENGINE_OIL),
        Optional.of(OIL),
        capacities,
        filling,
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
        Optional.empty(),
        Optional.of(Mounting.UPRIGHT),
        "",
        "",
        "",
        volume,
        Position.Limits.NONE);
  }

  public static Position seal(PositionId id, CompartmentId compartmentId, int quantity) {
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
        Optional.empty(),
        "",
        drive,
        "",
        Optional.empty(),
        Position.Limits.NONE);
  }

  /** One piece at a position of a kind; its item's number is the position's and a thousand. */
  public static Position place(long id, Position.Kind kind, Optional<CompartmentId> compartment) {
    return new Position(
        new PositionId(id),
        kind.words() + " " + id,
        kind,
        compartment,
        Optional.of(new ItemId(1_000 + id)),
        1,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        "",
        "",
        "",
        Optional.empty(),
        Position.Limits.NONE);
  }
}

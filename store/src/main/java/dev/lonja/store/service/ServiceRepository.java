package dev.lonja.store.service;

import static dev.lonja.store.schema.Tables.FLUID_INTERVAL;
import static dev.lonja.store.schema.Tables.METER;
import static dev.lonja.store.schema.Tables.SERVICE;
import static dev.lonja.store.schema.Tables.TASK;
import static dev.lonja.store.schema.Tables.TASK_RECORD;
import static dev.lonja.store.schema.Tables.UNIT;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.inspection.ValueLimits;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.service.Interval;
import dev.lonja.core.service.Origin;
import dev.lonja.core.service.Severity;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.Timing;
import dev.lonja.core.tray.TrayId;
import dev.lonja.store.fleet.VariantTasks;
import dev.lonja.store.query.UnitScope;
import dev.lonja.store.schema.tables.TaskRecord;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;

/** Tasks, and the append-only records of when they were done. */
public final class ServiceRepository {

  private static final int SEVERITY_SCALE = 4;

  private final DSLContext context;

  public ServiceRepository(DSLContext context) {
    this.context = context;
  }

  /** The tasks of units as their variants have them, by unit, in order of entry. */
  public Map<UnitId, List<Task>> tasks(UnitScope units) {
    Map<TaskId, List<FluidRow>> byFluid = fluidRows();
    // the rows of a variant are read once, however many units are of it
    Map<Long, List<Record>> rows =
        context
            .select(SERVICE.VARIANT_ID, SERVICE.NAME, TASK.asterisk())
            .from(SERVICE)
            .join(TASK)
            .on(TASK.SERVICE_ID.eq(SERVICE.ID))
            .orderBy(TASK.ID)
            .fetchGroups(SERVICE.VARIANT_ID, row -> row);
    Map<UnitId, Map<String, CountedBy>> meters = meters(units);
    Map<UnitId, List<Task>> tasks = new HashMap<>();
    context
        .select(UNIT.ID, UNIT.VARIANT_ID)
        .from(UNIT)
        .where(units.holds(UNIT.ID))
        .forEach(
            unit -> {
              Map<String, CountedBy> own = meters.getOrDefault(unit.value1(), Map.of());
              tasks.put(
                  unit.value1(),
                  rows.getOrDefault(unit.value2(), List.of()).stream()
                      .map(
                          row ->
                              task(
                                  row,
                                  byFluid,
                                  Optional.ofNullable(own.get(row.get(TASK.METER_NAME)))))
                      .toList());
            });
    return tasks;
  }

  /** The meter of a unit that a task counts by. */
  private record CountedBy(MeterId id, MeterMeasure measure) {}

  private Map<UnitId, Map<String, CountedBy>> meters(UnitScope units) {
    Map<UnitId, Map<String, CountedBy>> meters = new HashMap<>();
    context
        .select(METER.UNIT_ID, METER.NAME, METER.ID, METER.MEASURE)
        .from(METER)
        .where(units.holds(METER.UNIT_ID))
        .forEach(
            row ->
                meters
                    .computeIfAbsent(row.value1(), id -> new HashMap<>())
                    .put(
                        row.value2(),
                        new CountedBy(row.value3(), MeterMeasure.ofSymbol(row.value4()))));
    return meters;
  }

  /** By unit and task, all records that have not been withdrawn, the latest last. */
  public Map<UnitId, Map<TaskId, List<Origin>>> done(UnitScope units) {
    Map<UnitId, Map<TaskId, List<Origin>>> done = new HashMap<>();
    context
        .select(
            TASK_RECORD.UNIT_ID,
            TASK_RECORD.TASK_ID,
            TASK_RECORD.DONE_ON,
            TASK_RECORD.LIFE_TENTHS,
            METER.MEASURE)
        .from(TASK_RECORD)
        .join(TASK)
        .on(TASK.ID.eq(TASK_RECORD.TASK_ID))
        .leftJoin(METER)
        .on(METER.UNIT_ID.eq(TASK_RECORD.UNIT_ID), METER.NAME.eq(TASK.METER_NAME))
        .where(units.holds(TASK_RECORD.UNIT_ID), stands())
        .orderBy(TASK_RECORD.DONE_ON, TASK_RECORD.ID)
        .forEach(
            row ->
                done.computeIfAbsent(row.get(TASK_RECORD.UNIT_ID), id -> new HashMap<>())
                    .computeIfAbsent(row.get(TASK_RECORD.TASK_ID), id -> new ArrayList<>())
                    .add(origin(row)));
    return done;
  }

  /** Records that a task was done on a unit as part of a tray; returns the record's number. */
  public long addDone(
      UnitId unitId,
      TaskId taskId,
      LocalDate day,
      Optional<MeterValue> life,
      TrayId trayId,
      String actor,
      Instant at) {
    return context
        .insertInto(TASK_RECORD)
        .set(TASK_RECORD.UNIT_ID, unitId)
        .set(TASK_RECORD.TASK_ID, taskId)
        .set(TASK_RECORD.DONE_ON, day)
        .set(TASK_RECORD.LIFE_TENTHS, life.map(MeterValue::tenths).orElse(null))
        .set(TASK_RECORD.TRAY_ID, trayId)
        .set(TASK_RECORD.REASON, "")
        .set(TASK_RECORD.ACTOR, actor)
        .set(TASK_RECORD.RECORDED_AT, at)
        .returning(TASK_RECORD.ID)
        .fetchSingle(TASK_RECORD.ID);
  }

  /** Withdraws every standing record of a tray by a line that names it. */
  public void withdrawOfTray(TrayId trayId, String reason, String actor, Instant at) {
    context
        .selectFrom(TASK_RECORD)
        .where(TASK_RECORD.TRAY_ID.eq(trayId), stands())
        .fetch()
        .forEach(row -> withdraw(row, reason, actor, at));
  }

  private void withdraw(Record wrong, String reason, String actor, Instant at) {
    context
        .insertInto(TASK_RECORD)
        .set(TASK_RECORD.UNIT_ID, wrong.get(TASK_RECORD.UNIT_ID))
        .set(TASK_RECORD.TASK_ID, wrong.get(TASK_RECORD.TASK_ID))
        .set(TASK_RECORD.DONE_ON, wrong.get(TASK_RECORD.DONE_ON))
        .set(TASK_RECORD.LIFE_TENTHS, wrong.get(TASK_RECORD.LIFE_TENTHS))
        .set(TASK_RECORD.TRAY_ID, wrong.get(TASK_RECORD.TRAY_ID))
        .set(TASK_RECORD.WITHDRAWS, wrong.get(TASK_RECORD.ID))
        .set(TASK_RECORD.REASON, reason)
        .set(TASK_RECORD.ACTOR, actor)
        .set(TASK_RECORD.RECORDED_AT, at)
        .execute();
  }

  static Condition stands() {
    TaskRecord later = TASK_RECORD.as("later");
    Field<Long> withdrawn = later.WITHDRAWS;
    return TASK_RECORD
        .WITHDRAWS
        .isNull()
        .andNotExists(DSL.selectOne().from(later).where(withdrawn.eq(TASK_RECORD.ID)));
  }

  private static Origin origin(Record row) {
    return Origin.done(
        row.get(TASK_RECORD.DONE_ON),
        Optional.ofNullable(row.get(TASK_RECORD.LIFE_TENTHS))
            .filter(tenths -> row.get(METER.MEASURE) != null)
            .map(tenths -> new MeterValue(tenths, measure(row))));
  }

  private static Task task(
      Record row, Map<TaskId, List<FluidRow>> byFluid, Optional<CountedBy> meter) {
    return new Task(
        row.get(TASK.ID),
        row.get(SERVICE.NAME),
        row.get(TASK.NAME),
        action(row),
        timing(row, byFluid.getOrDefault(row.get(TASK.ID), List.of()), meter),
        row.get(TASK.STEPS),
        VariantTasks.hazards(row));
  }

  private static Timing timing(Record row, List<FluidRow> byFluid, Optional<CountedBy> meter) {
    if (row.get(TASK.WITH_TASK_ID) != null) {
      return new Timing.EveryNth(
          row.get(TASK.WITH_TASK_ID), Math.toIntExact(row.get(TASK.EVERY_NTH)));
    }
    if (row.get(TASK.SEASON_START) != null) {
      return new Timing.BeforeSeason(
          MonthDay.parse("--" + row.get(TASK.SEASON_START)),
          Math.toIntExact(row.get(TASK.LEAD_DAYS)));
    }
    if (row.get(TASK.BEFORE_LAY_UP) == 1) {
      return new Timing.BeforeLayUp(Math.toIntExact(row.get(TASK.LEAD_DAYS)), List.of());
    }
    if (row.get(TASK.AFTER_LAY_UP) == 1) {
      return new Timing.AfterLayUp(List.of());
    }
    Optional<MeterSpan> firstSpan = span(meter, row.get(TASK.FIRST_INTERVAL_TENTHS));
    Optional<Integer> firstMonths = months(row.get(TASK.FIRST_INTERVAL_MONTHS));
    boolean hasFirst = firstSpan.isPresent() || firstMonths.isPresent();
    return new Timing.ByInterval(
        meter.map(CountedBy::id),
        interval(meter, row.get(TASK.INTERVAL_TENTHS), row.get(TASK.INTERVAL_MONTHS)),
        hasFirst ? Optional.of(new Interval(firstSpan, firstMonths)) : Optional.empty(),
        new Severity(
            BigDecimal.valueOf(row.get(TASK.SEVERITY_E4), SEVERITY_SCALE),
            row.get(TASK.SEVERITY_REASON)),
        byFluid.stream()
            .map(
                fluid ->
                    new Timing.FluidInterval(
                        fluid.fluidClass(), interval(meter, fluid.tenths(), fluid.months())))
            .toList(),
        Optional.empty());
  }

  /** A row of the intervals by fluid; its measure is that of the unit's meter. */
  private record FluidRow(String fluidClass, @Nullable Long tenths, @Nullable Long months) {}

  private Map<TaskId, List<FluidRow>> fluidRows() {
    return context
        .selectFrom(FLUID_INTERVAL)
        .orderBy(FLUID_INTERVAL.ID)
        .fetchGroups(
            FLUID_INTERVAL.TASK_ID,
            row ->
                new FluidRow(
                    row.get(FLUID_INTERVAL.FLUID_CLASS),
                    row.get(FLUID_INTERVAL.INTERVAL_TENTHS),
                    row.get(FLUID_INTERVAL.INTERVAL_MONTHS)));
  }

  private static Interval interval(
      Optional<CountedBy> meter, @Nullable Long tenths, @Nullable Long months) {
    return new Interval(span(meter, tenths), months(months));
  }

  private static Task.Action action(Record row) {
    return switch (row.get(TASK.ACTION)) {
      case "CHANGE_FLUID" -> new Task.Action.ChangeFluid(row.get(TASK.COMPARTMENT_ID));
      case "REPLACE" -> new Task.Action.Replace(row.get(TASK.POSITION_ID));
      default -> inspection(row);
    };
  }

  private static Task.Action inspection(Record row) {
    Optional<ValueLimits> limits = VariantTasks.limits(row);
    return row.get(TASK.POSITION_ID) == null
        ? new Task.Action.InspectFluid(row.get(TASK.COMPARTMENT_ID), limits)
        : new Task.Action.Inspect(row.get(TASK.POSITION_ID), ReplacementChance.UNKNOWN, limits);
  }

  /** A unit lacks no meter that its tasks count by; one that does is broken data and throws. */
  private static Optional<MeterSpan> span(Optional<CountedBy> meter, @Nullable Long tenths) {
    return Optional.ofNullable(tenths).map(t -> new MeterSpan(t, meter.orElseThrow().measure()));
  }

  private static Optional<Integer> months(@Nullable Long months) {
    return Optional.ofNullable(months).map(Math::toIntExact);
  }

  private static MeterMeasure measure(Record row) {
    return MeterMeasure.ofSymbol(row.get(METER.MEASURE));
  }
}

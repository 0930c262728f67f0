package dev.lonja.store.service;

import static dev.lonja.store.schema.Tables.COMPARTMENT;
import static dev.lonja.store.schema.Tables.DEVIATION;
import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.METER;
import static dev.lonja.store.schema.Tables.POSITION;
import static dev.lonja.store.schema.Tables.TASK;
import static dev.lonja.store.schema.Tables.UNIT;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.core.quantity.Torque;
import dev.lonja.core.quantity.TorqueRange;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.Deviation;
import dev.lonja.core.service.Interval;
import dev.lonja.core.service.NewDeviation;
import dev.lonja.core.service.TaskId;
import dev.lonja.store.fleet.FillingColumns;
import dev.lonja.store.query.UnitScope;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.InsertSetMoreStep;
import org.jooq.Record;
import org.jspecify.annotations.Nullable;

/** How units differ from their variants. One change of one thing stands at a time. */
public final class DeviationRepository {

  private static final String ABSENT = "ABSENT";

  /** The columns that say what is changed. */
  private static final Cases<Deviation.Change, Row> ROW =
      Cases.<Deviation.Change, Row>over(Deviation.Change.class)
          .when(
              Deviation.Change.NoCompartment.class,
              c -> Row.ofCompartment(ABSENT, c.compartmentId()))
          .when(
              Deviation.Change.OtherFluid.class, c -> Row.ofCompartment("ITEM", c.compartmentId()))
          .when(
              Deviation.Change.OtherCapacity.class,
              c ->
                  new Row(
                      "CAPACITY",
                      Optional.of(c.compartmentId()),
                      Optional.empty(),
                      Optional.empty(),
                      Optional.of(c.condition().name())))
          .when(Deviation.Change.NoPosition.class, p -> Row.ofPosition(ABSENT, p.positionId()))
          .when(Deviation.Change.OtherPart.class, p -> Row.ofPosition("ITEM", p.positionId()))
          .when(Deviation.Change.OtherTorque.class, p -> Row.ofPosition("TORQUE", p.positionId()))
          .when(Deviation.Change.OtherInterval.class, t -> Row.ofTask("INTERVAL", t.taskId()))
          .when(Deviation.Change.NoTask.class, t -> Row.ofTask(ABSENT, t.taskId()))
          .all();

  /** The columns that say what it is now; what is absent has none. */
  private static final Cases<Deviation.Change, Map<Field<?>, Object>> VALUES =
      Cases.<Deviation.Change, Map<Field<?>, Object>>over(Deviation.Change.class)
          .when(Deviation.Change.NoCompartment.class, none -> Map.of())
          .when(Deviation.Change.NoPosition.class, none -> Map.of())
          .when(Deviation.Change.NoTask.class, none -> Map.of())
          .when(Deviation.Change.OtherFluid.class, c -> Map.of(DEVIATION.ITEM_ID, c.itemId()))
          .when(Deviation.Change.OtherPart.class, p -> Map.of(DEVIATION.ITEM_ID, p.itemId()))
          .when(Deviation.Change.OtherCapacity.class, c -> capacity(c.capacity()))
          .when(
              Deviation.Change.OtherTorque.class,
              p ->
                  Map.of(
                      DEVIATION.TORQUE_LOW_MNM, p.torque().low().millinewtonMetres(),
                      DEVIATION.TORQUE_HIGH_MNM, p.torque().high().millinewtonMetres()))
          .when(Deviation.Change.OtherInterval.class, t -> interval(t.interval()))
          .all();

  private final DSLContext context;

  public DeviationRepository(DSLContext context) {
    this.context = context;
  }

  /** The deviations of units, by unit, in order of entry. */
  public Map<UnitId, List<Deviation>> of(UnitScope units) {
    return context
        .select(DEVIATION.asterisk(), ITEM.FILTER_VOLUME_UL, METER.MEASURE)
        .from(DEVIATION)
        .leftJoin(ITEM)
        .on(ITEM.ID.eq(DEVIATION.ITEM_ID))
        .leftJoin(TASK)
        .on(TASK.ID.eq(DEVIATION.TASK_ID))
        .leftJoin(METER)
        .on(METER.UNIT_ID.eq(DEVIATION.UNIT_ID), METER.NAME.eq(TASK.METER_NAME))
        .where(units.holds(DEVIATION.UNIT_ID))
        .orderBy(DEVIATION.UNIT_ID, DEVIATION.ID)
        .fetchGroups(DEVIATION.UNIT_ID, DeviationRepository::deviation);
  }

  /**
   * Something that the book has and a machine of the variant has not.
   *
   * @param what the compartment, the position or the task
   */
  public record Absence(String unit, String what, String reason) {}

  /** What machines of a variant lack, by their codes, in order of entry. */
  public List<Absence> absences(long variantId) {
    return context
        .select(UNIT.CODE, COMPARTMENT.NAME, POSITION.NAME, TASK.NAME, DEVIATION.REASON)
        .from(DEVIATION)
        .join(UNIT)
        .on(UNIT.ID.eq(DEVIATION.UNIT_ID))
        .leftJoin(COMPARTMENT)
        .on(COMPARTMENT.ID.eq(DEVIATION.COMPARTMENT_ID))
        .leftJoin(POSITION)
        .on(POSITION.ID.eq(DEVIATION.POSITION_ID))
        .leftJoin(TASK)
        .on(TASK.ID.eq(DEVIATION.TASK_ID))
        .where(UNIT.VARIANT_ID.eq(variantId), DEVIATION.CHANGE.eq(ABSENT))
        .orderBy(UNIT.CODE, DEVIATION.ID)
        .fetch(
            row ->
                new Absence(
                    row.get(UNIT.CODE),
                    Stream.of(row.value2(), row.value3(), row.value4())
                        .filter(Objects::nonNull)
                        .findFirst()
                        .orElseThrow(),
                    row.get(DEVIATION.REASON)));
  }

  /** Puts a deviation in force; one that changed the same thing before gives way. */
  public void put(UnitId unitId, NewDeviation deviation) {
    Row row = ROW.apply(deviation.change());
    context
        .deleteFrom(DEVIATION)
        .where(DEVIATION.UNIT_ID.eq(unitId), DEVIATION.CHANGE.eq(row.change()))
        .and(same(DEVIATION.COMPARTMENT_ID, row.compartmentId()))
        .and(same(DEVIATION.POSITION_ID, row.positionId()))
        .and(same(DEVIATION.TASK_ID, row.taskId()))
        .and(same(DEVIATION.CONDITION, row.condition()))
        .execute();
    InsertSetMoreStep<?> insert =
        context
            .insertInto(DEVIATION)
            .set(DEVIATION.UNIT_ID, unitId)
            .set(DEVIATION.CHANGE, row.change())
            .set(DEVIATION.COMPARTMENT_ID, row.compartmentId().orElse(null))
            .set(DEVIATION.POSITION_ID, row.positionId().orElse(null))
            .set(DEVIATION.TASK_ID, row.taskId().orElse(null))
            .set(DEVIATION.CONDITION, row.condition().orElse(null))
            .set(DEVIATION.SOURCE, deviation.source().name())
            .set(DEVIATION.REASON, deviation.reason())
            .set(DEVIATION.SINCE_ON, deviation.since())
            .set(DEVIATION.ACTOR, deviation.actor());
    insert.set(VALUES.apply(deviation.change())).execute();
  }

  /** Lets a unit follow its variant again; false if the deviation is not there. */
  public boolean remove(UnitId unitId, long deviationId) {
    return context
            .deleteFrom(DEVIATION)
            .where(DEVIATION.UNIT_ID.eq(unitId), DEVIATION.ID.eq(deviationId))
            .execute()
        == 1;
  }

  /** The columns that say what is changed. */
  private record Row(
      String change,
      Optional<CompartmentId> compartmentId,
      Optional<PositionId> positionId,
      Optional<TaskId> taskId,
      Optional<String> condition) {

    static Row ofCompartment(String change, CompartmentId id) {
      return new Row(change, Optional.of(id), Optional.empty(), Optional.empty(), Optional.empty());
    }

    static Row ofPosition(String change, PositionId id) {
      return new Row(change, Optional.empty(), Optional.of(id), Optional.empty(), Optional.empty());
    }

    static Row ofTask(String change, TaskId id) {
      return new Row(change, Optional.empty(), Optional.empty(), Optional.of(id), Optional.empty());
    }
  }

  private static Map<Field<?>, Object> interval(Interval interval) {
    Map<Field<?>, Object> columns = new HashMap<>();
    interval.run().ifPresent(run -> columns.put(DEVIATION.INTERVAL_TENTHS, run.tenths()));
    interval
        .months()
        .ifPresent(months -> columns.put(DEVIATION.INTERVAL_MONTHS, months.longValue()));
    return columns;
  }

  private static <T> Condition same(Field<T> field, Optional<T> value) {
    return value.map(field::eq).orElseGet(field::isNull);
  }

  private static Deviation deviation(Record row) {
    return new Deviation(
        row.get(DEVIATION.ID),
        change(row),
        Deviation.Source.valueOf(row.get(DEVIATION.SOURCE)),
        row.get(DEVIATION.REASON),
        row.get(DEVIATION.SINCE_ON),
        row.get(DEVIATION.ACTOR));
  }

  private static Map<Field<?>, Object> capacity(Capacity capacity) {
    long low = capacity.low().microlitres();
    return capacity.isRange()
        ? Map.of(DEVIATION.VOLUME_UL, low, DEVIATION.HIGH_UL, capacity.high().microlitres())
        : Map.of(DEVIATION.VOLUME_UL, low);
  }

  private static Deviation.Change change(Record row) {
    CompartmentId compartment = row.get(DEVIATION.COMPARTMENT_ID);
    PositionId position = row.get(DEVIATION.POSITION_ID);
    return switch (row.get(DEVIATION.CHANGE)) {
      case "CAPACITY" ->
          new Deviation.Change.OtherCapacity(
              compartment,
              FillCondition.valueOf(row.get(DEVIATION.CONDITION)),
              FillingColumns.capacity(row.get(DEVIATION.VOLUME_UL), row.get(DEVIATION.HIGH_UL)));
      case "TORQUE" ->
          new Deviation.Change.OtherTorque(
              position,
              new TorqueRange(
                  new Torque(row.get(DEVIATION.TORQUE_LOW_MNM)),
                  new Torque(row.get(DEVIATION.TORQUE_HIGH_MNM))));
      case "INTERVAL" ->
          new Deviation.Change.OtherInterval(row.get(DEVIATION.TASK_ID), interval(row));
      case "ITEM" ->
          compartment != null
              ? new Deviation.Change.OtherFluid(compartment, row.get(DEVIATION.ITEM_ID))
              : new Deviation.Change.OtherPart(
                  position,
                  row.get(DEVIATION.ITEM_ID),
                  Optional.ofNullable(row.get(ITEM.FILTER_VOLUME_UL)).map(Volume::new));
      default -> absent(compartment, position, row);
    };
  }

  private static Deviation.Change absent(
      @Nullable CompartmentId compartment, @Nullable PositionId position, Record row) {
    if (compartment != null) {
      return new Deviation.Change.NoCompartment(compartment);
    }
    return position != null
        ? new Deviation.Change.NoPosition(position)
        : new Deviation.Change.NoTask(row.get(DEVIATION.TASK_ID));
  }

  private static Interval interval(Record row) {
    return new Interval(
        Optional.ofNullable(row.get(DEVIATION.INTERVAL_TENTHS))
            .map(tenths -> new MeterSpan(tenths, MeterMeasure.ofSymbol(row.get(METER.MEASURE)))),
        Optional.ofNullable(row.get(DEVIATION.INTERVAL_MONTHS)).map(Math::toIntExact));
  }
}

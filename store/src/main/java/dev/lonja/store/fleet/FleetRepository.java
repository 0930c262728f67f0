package dev.lonja.store.fleet;

import static dev.lonja.store.schema.Tables.CAPACITY;
import static dev.lonja.store.schema.Tables.CHANGE_OVER;
import static dev.lonja.store.schema.Tables.CLASS_MONTH;
import static dev.lonja.store.schema.Tables.COMPARTMENT;
import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.LAY_UP;
import static dev.lonja.store.schema.Tables.METER;
import static dev.lonja.store.schema.Tables.MODEL;
import static dev.lonja.store.schema.Tables.POSITION;
import static dev.lonja.store.schema.Tables.UNIT;
import static dev.lonja.store.schema.Tables.UNIT_CLASS;
import static dev.lonja.store.schema.Tables.VARIANT;

import dev.lonja.core.calendar.LayUp;
import dev.lonja.core.calendar.UsageCalendar;
import dev.lonja.core.fleet.Arrow;
import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Mounting;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.machine.ShelfFacts;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.machine.Ways;
import dev.lonja.core.meter.Meter;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.UsageRate;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.quantity.Torque;
import dev.lonja.core.quantity.TorqueRange;
import dev.lonja.core.quantity.Volume;
import dev.lonja.store.fluid.SpecRepository;
import dev.lonja.store.query.UnitScope;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.SelectOnConditionStep;
import org.jooq.impl.DSL;

/**
 * The machines and what they are made of. Everything is read for the whole fleet in one statement.
 */
public final class FleetRepository {

  private final DSLContext context;

  public FleetRepository(DSLContext context) {
    this.context = context;
  }

  /** Units in service or retired, in order of their codes. */
  public List<Unit> units(UnitScope units) {
    return rows().where(units.holds(UNIT.ID)).orderBy(UNIT.CODE).fetch(FleetRepository::unit);
  }

  /** The units in service on a day, in order of their codes. */
  public List<Unit> serving(LocalDate day) {
    return rows().where(serves(day)).orderBy(UNIT.CODE).fetch(FleetRepository::unit);
  }

  /** The unit of this code, if it is in service on the day. */
  public Optional<Unit> serving(String code, LocalDate day) {
    return unitByCode(code).filter(unit -> unit.serves(day));
  }

  private static Condition serves(LocalDate day) {
    return serves(DSL.val(day, UNIT.RETIRED_ON));
  }

  static Condition serves(Field<LocalDate> day) {
    return UNIT.RETIRED_ON.isNull().or(UNIT.RETIRED_ON.gt(day));
  }

  /** A unit in service or retired. */
  public Optional<Unit> unitByCode(String code) {
    return rows().where(UNIT.CODE.equalIgnoreCase(code)).fetchOptional(FleetRepository::unit);
  }

  private SelectOnConditionStep<Record> rows() {
    return context
        .select()
        .from(UNIT)
        .join(UNIT_CLASS)
        .on(UNIT_CLASS.ID.eq(UNIT.CLASS_ID))
        .join(VARIANT)
        .on(VARIANT.ID.eq(UNIT.VARIANT_ID))
        .join(MODEL)
        .on(MODEL.ID.eq(VARIANT.MODEL_ID));
  }

  /** Adds a unit to the fleet; its code must be free. */
  public UnitId addUnit(
      String code, String name, long classId, long variantId, LocalDate inServiceOn) {
    return context
        .insertInto(UNIT)
        .set(UNIT.CODE, code)
        .set(UNIT.NAME, name)
        .set(UNIT.CLASS_ID, classId)
        .set(UNIT.VARIANT_ID, variantId)
        .set(UNIT.IN_SERVICE_ON, inServiceOn)
        .returning(UNIT.ID)
        .fetchSingle(UNIT.ID);
  }

  /** Edits a unit; false if someone else changed it since it was read with this version. */
  public boolean editUnit(
      UnitId unitId, long readVersion, String name, long classId, LocalDate inServiceOn) {
    return context
            .update(UNIT)
            .set(UNIT.NAME, name)
            .set(UNIT.CLASS_ID, classId)
            .set(UNIT.IN_SERVICE_ON, inServiceOn)
            .set(UNIT.VERSION, readVersion + 1)
            .where(UNIT.ID.eq(unitId), UNIT.VERSION.eq(readVersion))
            .execute()
        == 1;
  }

  /** Puts a meter on a unit, standing at {@code start} when it goes into service. */
  public void addMeter(UnitId unitId, String name, MeterValue start) {
    context
        .insertInto(METER)
        .set(METER.UNIT_ID, unitId)
        .set(METER.NAME, name)
        .set(METER.MEASURE, start.measure().symbol())
        .set(METER.START_TENTHS, start.tenths())
        .execute();
  }

  /**
   * Takes a unit out of the fleet on a day; what is on file of it stays.
   *
   * @return false if someone else changed it since it was read with this version
   */
  public boolean retire(UnitId unitId, long readVersion, LocalDate day) {
    return context
            .update(UNIT)
            .set(UNIT.RETIRED_ON, day)
            .set(UNIT.VERSION, readVersion + 1)
            .where(UNIT.ID.eq(unitId), UNIT.VERSION.eq(readVersion))
            .execute()
        == 1;
  }

  /** A lay-up as it is kept. */
  public record StoredLayUp(long id, LayUp layUp) {}

  /** The lay-ups of a unit, in order of their days. */
  public List<StoredLayUp> layUps(UnitId unitId) {
    return context
        .selectFrom(LAY_UP)
        .where(LAY_UP.UNIT_ID.eq(unitId))
        .orderBy(LAY_UP.FIRST_ON)
        .fetch(
            row ->
                new StoredLayUp(
                    row.get(LAY_UP.ID),
                    new LayUp(row.get(LAY_UP.FIRST_ON), row.get(LAY_UP.LAST_ON))));
  }

  public void addLayUp(UnitId unitId, LayUp layUp) {
    context
        .insertInto(LAY_UP)
        .set(LAY_UP.UNIT_ID, unitId)
        .set(LAY_UP.FIRST_ON, layUp.first())
        .set(LAY_UP.LAST_ON, layUp.last())
        .execute();
  }

  public void removeLayUp(long layUpId) {
    context.deleteFrom(LAY_UP).where(LAY_UP.ID.eq(layUpId)).execute();
  }

  /** States what a meter is used a day, or takes that back. */
  public void declareRate(MeterId id, Optional<UsageRate> rate) {
    context
        .update(METER)
        .set(METER.DECLARED_RATE_NANO, rate.map(UsageRate::billionthsPerDay).orElse(null))
        .where(METER.ID.eq(id))
        .execute();
  }

  /** The meters of units, in order of unit and entry. */
  public List<Meter> meters(UnitScope units) {
    return context
        .selectFrom(METER)
        .where(units.holds(METER.UNIT_ID))
        .orderBy(METER.UNIT_ID, METER.ID)
        .fetch(this::meter);
  }

  /** The usage calendars of units: their class's months and their own lay-ups. */
  public Map<UnitId, UsageCalendar> calendars(UnitScope units) {
    Map<Long, List<Integer>> months = new HashMap<>();
    context
        .selectFrom(CLASS_MONTH)
        .orderBy(CLASS_MONTH.CLASS_ID, CLASS_MONTH.MONTH)
        .forEach(
            row ->
                months
                    .computeIfAbsent(row.get(CLASS_MONTH.CLASS_ID), id -> new ArrayList<>())
                    .add(Math.toIntExact(row.get(CLASS_MONTH.FACTOR_E4))));
    Map<UnitId, List<LayUp>> layUps =
        context
            .selectFrom(LAY_UP)
            .where(units.holds(LAY_UP.UNIT_ID))
            .orderBy(LAY_UP.FIRST_ON)
            .fetchGroups(
                LAY_UP.UNIT_ID,
                row -> new LayUp(row.get(LAY_UP.FIRST_ON), row.get(LAY_UP.LAST_ON)));
    Map<UnitId, UsageCalendar> calendars = new HashMap<>();
    context
        .select(UNIT.ID, UNIT.CLASS_ID)
        .from(UNIT)
        .where(units.holds(UNIT.ID))
        .forEach(
            unit ->
                calendars.put(
                    unit.value1(),
                    new UsageCalendar(
                        months.getOrDefault(unit.value2(), UsageCalendar.EVEN.monthlyFactors()),
                        layUps.getOrDefault(unit.value1(), List.of()))));
    return calendars;
  }

  /**
   * Compartments and positions, by variant.
   *
   * @param shelf what the store knows of what goes there
   */
  public Map<Long, UnitNeeds> needs(ShelfFacts shelf) {
    Map<Long, List<Compartment>> compartments = compartments();
    Map<Long, List<Position>> positions =
        context
            .select()
            .from(POSITION)
            .leftJoin(ITEM)
            .on(ITEM.ID.eq(POSITION.ITEM_ID))
            .orderBy(POSITION.ID)
            .fetchGroups(POSITION.VARIANT_ID, FleetRepository::position);
    Map<Long, UnitNeeds> needs = new HashMap<>();
    for (Long id : context.select(VARIANT.ID).from(VARIANT).fetch(VARIANT.ID)) {
      needs.put(
          id,
          new UnitNeeds(
              compartments.getOrDefault(id, List.of()),
              positions.getOrDefault(id, List.of()),
              shelf,
              Ways.USUAL));
    }
    return needs;
  }

  private Map<Long, List<Compartment>> compartments() {
    Map<CompartmentId, Map<FillCondition, Capacity>> capacities = new HashMap<>();
    context
        .selectFrom(CAPACITY)
        .forEach(
            row ->
                capacities
                    .computeIfAbsent(row.get(CAPACITY.COMPARTMENT_ID), id -> new HashMap<>())
                    .put(
                        FillCondition.valueOf(row.get(CAPACITY.CONDITION)),
                        FillingColumns.capacity(
                            row.get(CAPACITY.VOLUME_UL), row.get(CAPACITY.HIGH_UL))));
    Map<CompartmentId, Spec> specs = new SpecRepository(context).all();
    return context
        .select()
        .from(COMPARTMENT)
        .leftJoin(CHANGE_OVER)
        .on(CHANGE_OVER.COMPARTMENT_ID.eq(COMPARTMENT.ID))
        .orderBy(COMPARTMENT.ID)
        .fetchGroups(
            COMPARTMENT.VARIANT_ID,
            row ->
                new Compartment(
                    row.get(COMPARTMENT.ID),
                    row.get(COMPARTMENT.NAME),
                    Compartment.Kind.valueOf(row.get(COMPARTMENT.KIND)),
                    specs.get(row.get(COMPARTMENT.ID)),
                    Optional.ofNullable(row.get(COMPARTMENT.ITEM_ID)),
                    capacities.getOrDefault(row.get(COMPARTMENT.ID), Map.of()),
                    FillingColumns.read(row),
                    row.get(COMPARTMENT.HINT),
                    changeOver(row)));
  }

  private static Optional<Compartment.ChangeOver> changeOver(Record row) {
    return Optional.ofNullable(row.get(CHANGE_OVER.ITEM_ID))
        .map(item -> new Compartment.ChangeOver(item, row.get(CHANGE_OVER.FROM_ON)));
  }

  private static Unit unit(Record row) {
    return new Unit(
        row.get(UNIT.ID),
        row.get(UNIT.CODE),
        row.get(UNIT.NAME),
        new Unit.UnitClass(
            row.get(UNIT_CLASS.ID), row.get(UNIT_CLASS.CODE), row.get(UNIT_CLASS.NAME)),
        VariantRepository.variant(row),
        Place.of(row.get(UNIT.SATELLITE_ID)),
        row.get(UNIT.IN_SERVICE_ON),
        Optional.ofNullable(row.get(UNIT.RETIRED_ON)),
        row.get(UNIT.VERSION));
  }

  private Meter meter(Record row) {
    MeterMeasure measure = MeterMeasure.ofSymbol(row.get(METER.MEASURE));
    return new Meter(
        row.get(METER.ID),
        row.get(METER.UNIT_ID),
        row.get(METER.NAME),
        new MeterValue(row.get(METER.START_TENTHS), measure),
        Optional.ofNullable(row.get(METER.DECLARED_RATE_NANO))
            .map(nano -> UsageRate.declared(BigDecimal.valueOf(nano, 9), measure)));
  }

  private static Position position(Record row) {
    Optional<TorqueRange> torque =
        Optional.ofNullable(row.get(POSITION.TORQUE_LOW_MNM))
            .map(
                low ->
                    new TorqueRange(
                        new Torque(low), new Torque(row.get(POSITION.TORQUE_HIGH_MNM))));
    return new Position(
        row.get(POSITION.ID),
        row.get(POSITION.NAME),
        Position.Kind.valueOf(row.get(POSITION.KIND)),
        Optional.ofNullable(row.get(POSITION.COMPARTMENT_ID)),
        Optional.ofNullable(row.get(POSITION.ITEM_ID)),
        Math.toIntExact(row.get(POSITION.QUANTITY)),
        Optional.ofNullable(row.get(POSITION.STROKES)).map(Math::toIntExact),
        torque,
        Optional.ofNullable(row.get(POSITION.MOUNTING)).map(Mounting::valueOf),
        row.get(POSITION.THREAD),
        row.get(POSITION.DRIVE),
        row.get(POSITION.NOTE),
        Optional.ofNullable(row.get(ITEM.FILTER_VOLUME_UL)).map(Volume::new),
        new Position.Limits(
            Optional.ofNullable(row.get(POSITION.MOST_HEIGHT_UM)).map(Length::new),
            Optional.ofNullable(row.get(POSITION.MOST_OUTER_UM)).map(Length::new),
            row.get(POSITION.WATER_SEPARATOR) == 1,
            row.get(POSITION.MATERIALS).isEmpty()
                ? List.of()
                : List.of(row.get(POSITION.MATERIALS).split(", "))),
        Optional.ofNullable(row.get(POSITION.ARROW)).map(Arrow::valueOf));
  }
}

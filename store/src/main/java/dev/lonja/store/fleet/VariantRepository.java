package dev.lonja.store.fleet;

import static dev.lonja.store.schema.Tables.CAPACITY;
import static dev.lonja.store.schema.Tables.CHANGE_OVER;
import static dev.lonja.store.schema.Tables.COMPARTMENT;
import static dev.lonja.store.schema.Tables.DEVIATION;
import static dev.lonja.store.schema.Tables.FILL;
import static dev.lonja.store.schema.Tables.METER;
import static dev.lonja.store.schema.Tables.MODEL;
import static dev.lonja.store.schema.Tables.POSITION;
import static dev.lonja.store.schema.Tables.SIGN_OFF;
import static dev.lonja.store.schema.Tables.STUDY_LINE;
import static dev.lonja.store.schema.Tables.TASK;
import static dev.lonja.store.schema.Tables.TOP_UP;
import static dev.lonja.store.schema.Tables.TRAY_LINE;
import static dev.lonja.store.schema.Tables.UNIT;
import static dev.lonja.store.schema.Tables.VARIANT;

import dev.lonja.core.fleet.Arrow;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Engine;
import dev.lonja.core.fleet.Mounting;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fleet.Variant;
import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Power;
import dev.lonja.store.fluid.SpecRepository;
import dev.lonja.store.query.NextNumber;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.Table;
import org.jooq.impl.DSL;

/** Models and their engine variants, with what their machines are made of. */
public final class VariantRepository {

  private final DSLContext context;

  public VariantRepository(DSLContext context) {
    this.context = context;
  }

  /**
   * A variant as it is kept.
   *
   * @param units the codes of all units of it, retired ones too
   * @param meters the names and measures of the meters that its units have
   */
  public record StoredVariant(
      Variant variant, long version, List<String> units, Map<String, String> meters) {}

  /** All variants, by make, model and name. */
  public List<StoredVariant> all() {
    return where(DSL.noCondition());
  }

  private List<StoredVariant> where(Condition which) {
    Map<Long, List<String>> units =
        context
            .select(UNIT.VARIANT_ID, UNIT.CODE)
            .from(UNIT)
            .orderBy(UNIT.CODE)
            .fetchGroups(UNIT.VARIANT_ID, UNIT.CODE);
    Map<Long, Map<String, String>> meters = meters();
    return context
        .select()
        .from(VARIANT)
        .join(MODEL)
        .on(MODEL.ID.eq(VARIANT.MODEL_ID))
        .where(which)
        .orderBy(MODEL.MAKE, MODEL.NAME, VARIANT.NAME)
        .fetch(
            row ->
                new StoredVariant(
                    variant(row),
                    row.get(VARIANT.VERSION),
                    units.getOrDefault(row.get(VARIANT.ID), List.of()),
                    meters.getOrDefault(row.get(VARIANT.ID), Map.of())));
  }

  /** By variant, the measures of the meters that its units have, by name. */
  private Map<Long, Map<String, String>> meters() {
    Map<Long, Map<String, String>> meters = new HashMap<>();
    context
        .selectDistinct(UNIT.VARIANT_ID, METER.NAME, METER.MEASURE)
        .from(METER)
        .join(UNIT)
        .on(UNIT.ID.eq(METER.UNIT_ID))
        .orderBy(METER.NAME)
        .forEach(
            row ->
                meters
                    .computeIfAbsent(row.value1(), id -> new LinkedHashMap<>())
                    .put(row.value2(), row.value3()));
    return meters;
  }

  public Optional<StoredVariant> byId(long id) {
    return where(VARIANT.ID.eq(id)).stream().findFirst();
  }

  /** What a variant is called, and what drives it. */
  public record Named(String make, String model, String name, Engine engine) {}

  /** Adds a variant without parts or tasks; its model is added with it if it is new. */
  public long add(Named named) {
    return context
        .insertInto(VARIANT)
        .set(VARIANT.MODEL_ID, model(named.make(), named.model()))
        .set(VARIANT.NAME, named.name())
        .set(VARIANT.ENGINE, named.engine().code())
        .set(VARIANT.POWER_W, named.engine().power().map(Power::watts).orElse(null))
        .returning(VARIANT.ID)
        .fetchSingle(VARIANT.ID);
  }

  static Variant variant(Record row) {
    return new Variant(
        row.get(VARIANT.ID),
        row.get(MODEL.MAKE),
        row.get(MODEL.NAME),
        row.get(VARIANT.NAME),
        new Engine(
            row.get(VARIANT.ENGINE),
            Optional.ofNullable(row.get(VARIANT.POWER_W)).map(Power::new)));
  }

  private long model(String make, String name) {
    return context
        .select(MODEL.ID)
        .from(MODEL)
        .where(MODEL.MAKE.eq(make), MODEL.NAME.eq(name))
        .fetchOptional(MODEL.ID)
        .orElseGet(
            () ->
                context
                    .insertInto(MODEL)
                    .set(MODEL.MAKE, make)
                    .set(MODEL.NAME, name)
                    .returning(MODEL.ID)
                    .fetchSingle(MODEL.ID));
  }

  /** Names a variant anew; false if someone else changed it since it was read. */
  public boolean rename(long variantId, long readVersion, Named named) {
    return context
            .update(VARIANT)
            .set(VARIANT.MODEL_ID, model(named.make(), named.model()))
            .set(VARIANT.NAME, named.name())
            .set(VARIANT.ENGINE, named.engine().code())
            .set(VARIANT.POWER_W, named.engine().power().map(Power::watts).orElse(null))
            .set(VARIANT.VERSION, readVersion + 1)
            .where(VARIANT.ID.eq(variantId), VARIANT.VERSION.eq(readVersion))
            .execute()
        == 1;
  }

  /** Counts an edit of what a variant is made of; false if someone else made one meanwhile. */
  public boolean touch(long variantId, long readVersion) {
    return context
            .update(VARIANT)
            .set(VARIANT.VERSION, readVersion + 1)
            .where(VARIANT.ID.eq(variantId), VARIANT.VERSION.eq(readVersion))
            .execute()
        == 1;
  }

  /** Deletes a variant that no unit has, with all that belongs to it. */
  public void delete(long variantId) {
    new VariantTasks(context).deleteAll(variantId);
    context.deleteFrom(POSITION).where(POSITION.VARIANT_ID.eq(variantId)).execute();
    context
        .select(COMPARTMENT.ID)
        .from(COMPARTMENT)
        .where(COMPARTMENT.VARIANT_ID.eq(variantId))
        .fetch(COMPARTMENT.ID)
        .forEach(this::deleteCompartment);
    context.deleteFrom(VARIANT).where(VARIANT.ID.eq(variantId)).execute();
  }

  /** The number of a compartment that is about to be saved for the first time. */
  public CompartmentId nextCompartment() {
    return NextNumber.of(context, COMPARTMENT, COMPARTMENT.ID);
  }

  /** The number of a position that is about to be saved for the first time. */
  public PositionId nextPosition() {
    return NextNumber.of(context, POSITION, POSITION.ID);
  }

  /** Saves a compartment of a variant, new or known. */
  public void save(long variantId, Compartment compartment) {
    CompartmentId id = compartment.id();
    Record row = context.newRecord(COMPARTMENT);
    row.set(COMPARTMENT.ID, id);
    row.set(COMPARTMENT.VARIANT_ID, variantId);
    row.set(COMPARTMENT.NAME, compartment.name());
    row.set(COMPARTMENT.KIND, compartment.kind().name());
    SpecRepository.write(row, compartment.spec());
    row.set(COMPARTMENT.ITEM_ID, compartment.itemId().orElse(null));
    row.set(COMPARTMENT.HINT, compartment.hint());
    FillingColumns.write(row, compartment.filling());
    write(COMPARTMENT, COMPARTMENT.ID.eq(id), row);
    new SpecRepository(context).save(id, compartment.spec());
    context.deleteFrom(CAPACITY).where(CAPACITY.COMPARTMENT_ID.eq(id)).execute();
    // in one order, so that the same compartment gives the same rows
    new TreeMap<>(compartment.capacities())
        .forEach(
            (condition, capacity) ->
                context
                    .insertInto(CAPACITY)
                    .set(CAPACITY.COMPARTMENT_ID, id)
                    .set(CAPACITY.CONDITION, condition.name())
                    .set(CAPACITY.VOLUME_UL, capacity.low().microlitres())
                    .set(CAPACITY.HIGH_UL, FillingColumns.high(capacity))
                    .execute());
  }

  /** Changes the row there is, or adds it. */
  private void write(Table<?> table, Condition isIt, Record row) {
    if (context.fetchExists(table, isIt)) {
      context.update(table).set(row).where(isIt).execute();
    } else {
      context.insertInto(table).set(row).execute();
    }
  }

  /** Saves a position of a variant, new or known. */
  public void save(long variantId, Position position) {
    Record row = context.newRecord(POSITION);
    row.set(POSITION.ID, position.id());
    row.set(POSITION.VARIANT_ID, variantId);
    row.set(POSITION.COMPARTMENT_ID, position.compartmentId().orElse(null));
    row.set(POSITION.NAME, position.name());
    row.set(POSITION.KIND, position.kind().name());
    row.set(POSITION.ITEM_ID, position.itemId().orElse(null));
    row.set(POSITION.QUANTITY, (long) position.quantity());
    row.set(POSITION.STROKES, position.strokes().map(Integer::longValue).orElse(null));
    row.set(
        POSITION.TORQUE_LOW_MNM,
        position.torque().map(torque -> torque.low().millinewtonMetres()).orElse(null));
    row.set(
        POSITION.TORQUE_HIGH_MNM,
        position.torque().map(torque -> torque.high().millinewtonMetres()).orElse(null));
    row.set(POSITION.ARROW, position.arrow().map(Arrow::name).orElse(null));
    row.set(POSITION.MOUNTING, position.mounting().map(Mounting::name).orElse(null));
    row.set(POSITION.THREAD, position.thread());
    row.set(POSITION.DRIVE, position.drive());
    row.set(POSITION.NOTE, position.note());
    Position.Limits limits = position.limits();
    row.set(POSITION.MOST_HEIGHT_UM, limits.mostHeight().map(Length::micrometres).orElse(null));
    row.set(
        POSITION.MOST_OUTER_UM, limits.mostOuterDiameter().map(Length::micrometres).orElse(null));
    row.set(POSITION.WATER_SEPARATOR, limits.waterSeparator() ? 1L : 0L);
    row.set(POSITION.MATERIALS, String.join(", ", limits.materials()));
    write(POSITION, POSITION.ID.eq(position.id()), row);
  }

  /** What keeps a compartment from being deleted; none if nothing does. */
  public List<Use> usesOfCompartment(CompartmentId id) {
    return Stream.of(
            use(Use.Kind.POSITIONS, POSITION, POSITION.COMPARTMENT_ID.eq(id)),
            use(Use.Kind.TASKS, TASK, TASK.COMPARTMENT_ID.eq(id)),
            use(Use.Kind.DEVIATIONS, DEVIATION, DEVIATION.COMPARTMENT_ID.eq(id)),
            use(Use.Kind.FILLS, FILL, FILL.COMPARTMENT_ID.eq(id)),
            use(Use.Kind.TOP_UPS, TOP_UP, TOP_UP.COMPARTMENT_ID.eq(id)),
            use(Use.Kind.SIGN_OFFS, SIGN_OFF, SIGN_OFF.COMPARTMENT_ID.eq(id)),
            use(Use.Kind.TRAY_LINES, TRAY_LINE, TRAY_LINE.COMPARTMENT_ID.eq(id)),
            use(Use.Kind.STUDIES, STUDY_LINE, STUDY_LINE.COMPARTMENT_ID.eq(id)))
        .flatMap(Optional::stream)
        .toList();
  }

  /** What keeps a position from being deleted. */
  public List<Use> usesOfPosition(PositionId id) {
    return Stream.of(
            use(Use.Kind.TASKS, TASK, TASK.POSITION_ID.eq(id)),
            use(Use.Kind.DEVIATIONS, DEVIATION, DEVIATION.POSITION_ID.eq(id)))
        .flatMap(Optional::stream)
        .toList();
  }

  private Optional<Use> use(Use.Kind kind, Table<?> table, Condition condition) {
    int count = context.fetchCount(table, condition);
    return count == 0 ? Optional.empty() : Optional.of(new Use(kind, count));
  }

  public void deleteCompartment(CompartmentId id) {
    context.deleteFrom(CHANGE_OVER).where(CHANGE_OVER.COMPARTMENT_ID.eq(id)).execute();
    new SpecRepository(context).delete(id);
    context.deleteFrom(CAPACITY).where(CAPACITY.COMPARTMENT_ID.eq(id)).execute();
    context.deleteFrom(COMPARTMENT).where(COMPARTMENT.ID.eq(id)).execute();
  }

  public void deletePosition(PositionId id) {
    context.deleteFrom(POSITION).where(POSITION.ID.eq(id)).execute();
  }

  /** The tasks of variants. */
  public VariantTasks tasks() {
    return new VariantTasks(context);
  }
}

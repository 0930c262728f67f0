package dev.lonja.store.fleet;

import static dev.lonja.store.schema.Tables.DEVIATION;
import static dev.lonja.store.schema.Tables.FLUID_INTERVAL;
import static dev.lonja.store.schema.Tables.SERVICE;
import static dev.lonja.store.schema.Tables.TASK;
import static dev.lonja.store.schema.Tables.TASK_MOVE;
import static dev.lonja.store.schema.Tables.TASK_RECORD;
import static dev.lonja.store.schema.Tables.TRAY_TASK;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.inspection.InspectedValue;
import dev.lonja.core.inspection.ValueKind;
import dev.lonja.core.inspection.ValueLimits;
import dev.lonja.core.service.TaskId;
import dev.lonja.store.query.NextNumber;
import java.math.BigDecimal;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.Table;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;

/** The tasks of variants as they are kept: their meter is a name, since each unit has its own. */
public final class VariantTasks {

  private static final dev.lonja.store.schema.tables.Service SAME = SERVICE.as("same");

  private static final int SEVERITY_SCALE = 4;

  private final DSLContext context;

  VariantTasks(DSLContext context) {
    this.context = context;
  }

  /** What is done. */
  public enum Action {
    CHANGE_FLUID,
    REPLACE,
    INSPECT
  }

  /**
   * An interval in tenths of the measure of the task's meter, in months, or in both.
   *
   * @param tenths empty if it goes by months alone
   */
  public record Span(Optional<Long> tenths, Optional<Integer> months) {

    public static final Span NONE = new Span(Optional.empty(), Optional.empty());

    public boolean isNone() {
      return tenths.isEmpty() && months.isEmpty();
    }
  }

  /** An interval that holds while a fluid of a class is in. */
  public record WhileIn(String fluidClass, Span span) {}

  /**
   * A task as it is kept; exactly one of interval, lead, season and lay-up says when it comes.
   *
   * @param compartment of a change of fluid, or of a look at one
   * @param position of any other
   * @param limits of the value that an inspection asks for, if it does
   * @param meter empty without a run in the interval
   * @param nth with every nth time of {@code lead}
   * @param steps what to mind in the work; may be empty
   * @param hazards codes of the hazard texts that go with it
   */
  public record StoredTask(
      TaskId id,
      String service,
      String name,
      Action action,
      Optional<CompartmentId> compartment,
      Optional<PositionId> position,
      Optional<ValueLimits> limits,
      Optional<String> meter,
      Span interval,
      Span first,
      BigDecimal severity,
      String severityReason,
      Optional<TaskId> lead,
      Optional<Integer> nth,
      Optional<MonthDay> season,
      Optional<LayUpSide> layUp,
      Optional<Integer> leadDays,
      List<WhileIn> byFluid,
      String steps,
      List<String> hazards) {}

  /** On which side of a lay-up a task comes. */
  public enum LayUpSide {
    BEFORE,
    AFTER
  }

  /** Codes of the hazard texts that go with a task. */
  public static List<String> hazards(Record row) {
    return Stream.of(row.get(TASK.HAZARDS).split(", ")).filter(code -> !code.isEmpty()).toList();
  }

  private static Optional<LayUpSide> layUp(Record row) {
    if (row.get(TASK.BEFORE_LAY_UP) == 1) {
      return Optional.of(LayUpSide.BEFORE);
    }
    return row.get(TASK.AFTER_LAY_UP) == 1 ? Optional.of(LayUpSide.AFTER) : Optional.empty();
  }

  /** The tasks of a variant, by service in order of entry. */
  public List<StoredTask> of(long variantId) {
    Map<TaskId, List<WhileIn>> byFluid =
        context
            .selectFrom(FLUID_INTERVAL)
            .orderBy(FLUID_INTERVAL.ID)
            .fetchGroups(
                FLUID_INTERVAL.TASK_ID,
                row ->
                    new WhileIn(
                        row.get(FLUID_INTERVAL.FLUID_CLASS),
                        span(
                            row.get(FLUID_INTERVAL.INTERVAL_TENTHS),
                            row.get(FLUID_INTERVAL.INTERVAL_MONTHS))));
    return context
        .select()
        .from(TASK)
        .join(SERVICE)
        .on(SERVICE.ID.eq(TASK.SERVICE_ID))
        .where(SERVICE.VARIANT_ID.eq(variantId))
        .orderBy(SERVICE.ID, TASK.ID)
        .fetch(row -> task(row, byFluid.getOrDefault(row.get(TASK.ID), List.of())));
  }

  private static StoredTask task(Record row, List<WhileIn> byFluid) {
    return new StoredTask(
        row.get(TASK.ID),
        row.get(SERVICE.NAME),
        row.get(TASK.NAME),
        Action.valueOf(row.get(TASK.ACTION)),
        Optional.ofNullable(row.get(TASK.COMPARTMENT_ID)),
        Optional.ofNullable(row.get(TASK.POSITION_ID)),
        limits(row),
        Optional.ofNullable(row.get(TASK.METER_NAME)),
        span(row.get(TASK.INTERVAL_TENTHS), row.get(TASK.INTERVAL_MONTHS)),
        span(row.get(TASK.FIRST_INTERVAL_TENTHS), row.get(TASK.FIRST_INTERVAL_MONTHS)),
        BigDecimal.valueOf(row.get(TASK.SEVERITY_E4), SEVERITY_SCALE),
        row.get(TASK.SEVERITY_REASON),
        Optional.ofNullable(row.get(TASK.WITH_TASK_ID)),
        Optional.ofNullable(row.get(TASK.EVERY_NTH)).map(Math::toIntExact),
        Optional.ofNullable(row.get(TASK.SEASON_START)).map(day -> MonthDay.parse("--" + day)),
        layUp(row),
        Optional.ofNullable(row.get(TASK.LEAD_DAYS)).map(Math::toIntExact),
        byFluid,
        row.get(TASK.STEPS),
        hazards(row));
  }

  /** Of the value that a task asks for, if it does. */
  public static Optional<ValueLimits> limits(Record row) {
    return Optional.ofNullable(row.get(TASK.VALUE_KIND))
        .map(ValueKind::valueOf)
        .map(
            kind ->
                ValueLimits.of(
                    kind,
                    Optional.ofNullable(row.get(TASK.VALUE_LOW)),
                    Optional.ofNullable(row.get(TASK.VALUE_HIGH))));
  }

  private static Span span(@Nullable Long tenths, @Nullable Long months) {
    return new Span(Optional.ofNullable(tenths), Optional.ofNullable(months).map(Math::toIntExact));
  }

  /** The number of a task that is about to be saved for the first time. */
  public TaskId next() {
    return NextNumber.of(context, TASK, TASK.ID);
  }

  /** Saves a task of a variant, new or known, and its service if that is new. */
  public void save(long variantId, StoredTask task) {
    renameIfItIsThatServicesLast(variantId, task);
    Record row = context.newRecord(TASK);
    row.set(TASK.ID, task.id());
    row.set(TASK.SERVICE_ID, service(variantId, task.service()));
    row.set(TASK.NAME, task.name());
    row.set(TASK.ACTION, task.action().name());
    row.set(TASK.COMPARTMENT_ID, task.compartment().orElse(null));
    row.set(TASK.POSITION_ID, task.position().orElse(null));
    row.set(TASK.VALUE_KIND, task.limits().map(l -> l.kind().name()).orElse(null));
    row.set(TASK.VALUE_LOW, base(task.limits().flatMap(ValueLimits::low)));
    row.set(TASK.VALUE_HIGH, base(task.limits().flatMap(ValueLimits::high)));
    row.set(TASK.METER_NAME, task.meter().orElse(null));
    row.set(TASK.INTERVAL_TENTHS, task.interval().tenths().orElse(null));
    row.set(TASK.INTERVAL_MONTHS, months(task.interval()));
    row.set(TASK.FIRST_INTERVAL_TENTHS, task.first().tenths().orElse(null));
    row.set(TASK.FIRST_INTERVAL_MONTHS, months(task.first()));
    row.set(TASK.SEVERITY_E4, task.severity().movePointRight(SEVERITY_SCALE).longValueExact());
    row.set(TASK.SEVERITY_REASON, task.severityReason());
    row.set(TASK.WITH_TASK_ID, task.lead().orElse(null));
    row.set(TASK.EVERY_NTH, task.nth().map(Integer::longValue).orElse(null));
    row.set(TASK.SEASON_START, task.season().map(day -> day.toString().substring(2)).orElse(null));
    row.set(TASK.BEFORE_LAY_UP, task.layUp().equals(Optional.of(LayUpSide.BEFORE)) ? 1L : 0L);
    row.set(TASK.AFTER_LAY_UP, task.layUp().equals(Optional.of(LayUpSide.AFTER)) ? 1L : 0L);
    row.set(TASK.HAZARDS, String.join(", ", task.hazards()));
    row.set(TASK.STEPS, task.steps());
    row.set(TASK.LEAD_DAYS, task.leadDays().map(Integer::longValue).orElse(null));
    if (context.fetchExists(TASK, TASK.ID.eq(task.id()))) {
      context.update(TASK).set(row).where(TASK.ID.eq(task.id())).execute();
    } else {
      context.insertInto(TASK).set(row).execute();
    }
    saveByFluid(task.id(), task.byFluid());
    removeEmptyServices(variantId);
  }

  private static @Nullable Long base(Optional<InspectedValue> value) {
    return value.map(InspectedValue::base).orElse(null);
  }

  private void saveByFluid(TaskId taskId, List<WhileIn> byFluid) {
    context.deleteFrom(FLUID_INTERVAL).where(FLUID_INTERVAL.TASK_ID.eq(taskId)).execute();
    for (WhileIn entry : byFluid) {
      context
          .insertInto(FLUID_INTERVAL)
          .set(FLUID_INTERVAL.TASK_ID, taskId)
          .set(FLUID_INTERVAL.FLUID_CLASS, entry.fluidClass())
          .set(FLUID_INTERVAL.INTERVAL_TENTHS, entry.span().tenths().orElse(null))
          .set(FLUID_INTERVAL.INTERVAL_MONTHS, months(entry.span()))
          .execute();
    }
  }

  private static @Nullable Long months(Span span) {
    return span.months().map(Integer::longValue).orElse(null);
  }

  /**
   * A service whose only task is put under another name goes on under it, with what it costs
   * elsewhere; unless there is a service of that name already.
   */
  private void renameIfItIsThatServicesLast(long variantId, StoredTask task) {
    context
        .update(SERVICE)
        .set(SERVICE.NAME, task.service())
        .where(
            SERVICE.VARIANT_ID.eq(variantId),
            SERVICE.ID.in(DSL.select(TASK.SERVICE_ID).from(TASK).where(TASK.ID.eq(task.id()))),
            DSL.notExists(
                DSL.selectOne()
                    .from(TASK)
                    .where(TASK.SERVICE_ID.eq(SERVICE.ID), TASK.ID.ne(task.id()))))
        .andNotExists(
            DSL.selectOne()
                .from(SAME)
                .where(SAME.VARIANT_ID.eq(variantId), SAME.NAME.eq(task.service())))
        .execute();
  }

  private long service(long variantId, String name) {
    return context
        .select(SERVICE.ID)
        .from(SERVICE)
        .where(SERVICE.VARIANT_ID.eq(variantId), SERVICE.NAME.eq(name))
        .fetchOptional(SERVICE.ID)
        .orElseGet(
            () ->
                context
                    .insertInto(SERVICE)
                    .set(SERVICE.VARIANT_ID, variantId)
                    .set(SERVICE.NAME, name)
                    .returning(SERVICE.ID)
                    .fetchSingle(SERVICE.ID));
  }

  private void removeEmptyServices(long variantId) {
    context
        .deleteFrom(SERVICE)
        .where(SERVICE.VARIANT_ID.eq(variantId))
        .andNotExists(DSL.selectOne().from(TASK).where(TASK.SERVICE_ID.eq(SERVICE.ID)))
        .execute();
  }

  /** What keeps a task from being deleted; none if nothing does. */
  public List<Use> usesOf(TaskId taskId) {
    return Stream.of(
            use(Use.Kind.RECORDS, TASK_RECORD, TASK_RECORD.TASK_ID.eq(taskId)),
            use(Use.Kind.TRAYS, TRAY_TASK, TRAY_TASK.TASK_ID.eq(taskId)),
            use(Use.Kind.DEVIATIONS, DEVIATION, DEVIATION.TASK_ID.eq(taskId)),
            use(Use.Kind.MOVES, TASK_MOVE, TASK_MOVE.TASK_ID.eq(taskId)),
            use(Use.Kind.LED_TASKS, TASK, TASK.WITH_TASK_ID.eq(taskId)))
        .filter(use -> use.count() > 0)
        .toList();
  }

  private Use use(Use.Kind kind, Table<?> table, Condition condition) {
    return new Use(kind, context.fetchCount(table, condition));
  }

  /** Deletes a task of a variant that nothing refers to. */
  public void delete(long variantId, TaskId taskId) {
    context.deleteFrom(FLUID_INTERVAL).where(FLUID_INTERVAL.TASK_ID.eq(taskId)).execute();
    context.deleteFrom(TASK).where(TASK.ID.eq(taskId)).execute();
    removeEmptyServices(variantId);
  }

  void deleteAll(long variantId) {
    List<StoredTask> tasks = new ArrayList<>(of(variantId));
    // a task that is led goes before its lead
    tasks.sort((a, b) -> Boolean.compare(b.lead().isPresent(), a.lead().isPresent()));
    tasks.forEach(task -> delete(variantId, task.id()));
  }

  /**
   * Copies the tasks of one variant to another.
   *
   * @param compartments the copy's compartment for each of the original's
   * @param positions the same of positions
   */
  public void copy(
      long from,
      long to,
      Map<CompartmentId, CompartmentId> compartments,
      Map<PositionId, PositionId> positions) {
    Map<TaskId, TaskId> copies = new HashMap<>();
    List<StoredTask> tasks = new ArrayList<>(of(from));
    tasks.sort((a, b) -> Boolean.compare(a.lead().isPresent(), b.lead().isPresent()));
    for (StoredTask task : tasks) {
      StoredTask copy =
          new StoredTask(
              next(),
              task.service(),
              task.name(),
              task.action(),
              task.compartment().map(compartments::get),
              task.position().map(positions::get),
              task.limits(),
              task.meter(),
              task.interval(),
              task.first(),
              task.severity(),
              task.severityReason(),
              task.lead().map(copies::get),
              task.nth(),
              task.season(),
              task.layUp(),
              task.leadDays(),
              task.byFluid(),
              task.steps(),
              task.hazards());
      save(to, copy);
      copies.put(task.id(), copy.id());
    }
  }
}

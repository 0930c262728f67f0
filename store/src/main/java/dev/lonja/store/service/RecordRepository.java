package dev.lonja.store.service;

import static dev.lonja.store.schema.Tables.FILL;
import static dev.lonja.store.schema.Tables.INSPECTION;
import static dev.lonja.store.schema.Tables.POSITION;
import static dev.lonja.store.schema.Tables.TASK;
import static dev.lonja.store.schema.Tables.TASK_MOVE;
import static dev.lonja.store.schema.Tables.TASK_RECORD;
import static dev.lonja.store.schema.Tables.UNIT;

import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.inspection.Found;
import dev.lonja.core.inspection.InspectedValue;
import dev.lonja.core.inspection.InspectionOutcome;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.inspection.ValueKind;
import dev.lonja.core.pour.FillLevel;
import dev.lonja.core.pour.NewFill;
import dev.lonja.core.pour.RecordedFill;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.TrayId;
import dev.lonja.store.query.UnitScope;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;

/** What inspections found, what was poured, and what a person put on another day. */
public final class RecordRepository {

  /** The inspection of a task that a tray brought about; empty until what it found is noted. */
  public record Inspected(long recordId, TaskId taskId, Optional<Found> found) {}

  /** A fill with the tray it was noted on, if it was. */
  private record NotedFill(RecordedFill fill, UnitId unitId, Optional<TrayId> trayId) {}

  private final DSLContext context;

  public RecordRepository(DSLContext context) {
    this.context = context;
  }

  /**
   * By class of unit and kind of position, how the inspections that stand have ended, and for what
   * is only laid in case how often it was used.
   */
  public Map<Long, Map<Position.Kind, ReplacementChance>> chances() {
    Map<Long, Map<Position.Kind, ReplacementChance>> chances = new HashMap<>();
    context
        .select(UNIT.CLASS_ID, POSITION.KIND, INSPECTION.OUTCOME)
        .from(INSPECTION)
        .join(TASK_RECORD)
        .on(TASK_RECORD.ID.eq(INSPECTION.RECORD_ID))
        .join(UNIT)
        .on(UNIT.ID.eq(TASK_RECORD.UNIT_ID))
        .join(TASK)
        .on(TASK.ID.eq(TASK_RECORD.TASK_ID))
        .join(POSITION)
        .on(POSITION.ID.eq(TASK.POSITION_ID))
        .where(isLatest(), ServiceRepository.stands())
        .forEach(
            row ->
                chances
                    .computeIfAbsent(row.value1(), id -> new HashMap<>())
                    .merge(
                        Position.Kind.valueOf(row.value2()),
                        outcome(row.value3()),
                        RecordRepository::sum));
    usedInCase(chances);
    return chances;
  }

  /**
   * Seals that may be used again and parts that may break are on no record of an inspection: what
   * did not come back with the tray was used.
   */
  private void usedInCase(Map<Long, Map<Position.Kind, ReplacementChance>> chances) {
    LineUse.inCase(context)
        .forEach(
            row ->
                chances
                    .computeIfAbsent(row.classId(), id -> new HashMap<>())
                    .merge(
                        row.kind(),
                        new ReplacementChance(row.used() ? 1 : 0, 1),
                        RecordRepository::sum));
  }

  /** By unit and task, how often an inspection kept the part since one replaced it. */
  public Map<UnitId, Map<TaskId, Integer>> kept(UnitScope units) {
    Map<UnitId, Map<TaskId, Integer>> kept = new HashMap<>();
    context
        .select(TASK_RECORD.UNIT_ID, TASK_RECORD.TASK_ID, INSPECTION.OUTCOME)
        .from(INSPECTION)
        .join(TASK_RECORD)
        .on(TASK_RECORD.ID.eq(INSPECTION.RECORD_ID))
        .where(units.holds(TASK_RECORD.UNIT_ID), isLatest(), ServiceRepository.stands())
        .orderBy(TASK_RECORD.DONE_ON, TASK_RECORD.ID)
        .forEach(
            row ->
                kept.computeIfAbsent(row.value1(), id -> new HashMap<>())
                    .merge(
                        row.value2(),
                        isReplaced(row.value3()) ? 0 : 1,
                        (before, now) -> now == 0 ? 0 : before + 1));
    return kept;
  }

  private static ReplacementChance outcome(String outcome) {
    return new ReplacementChance(isReplaced(outcome) ? 1 : 0, 1);
  }

  private static boolean isReplaced(String outcome) {
    return InspectionOutcome.valueOf(outcome) == InspectionOutcome.REPLACED;
  }

  private static ReplacementChance sum(ReplacementChance a, ReplacementChance b) {
    return new ReplacementChance(a.replaced() + b.replaced(), a.inspected() + b.inspected());
  }

  static Condition isLatest() {
    var later = INSPECTION.as("later_inspection");
    return DSL.notExists(
        DSL.selectOne()
            .from(later)
            .where(later.RECORD_ID.eq(INSPECTION.RECORD_ID), later.ID.gt(INSPECTION.ID)));
  }

  /** The inspections that a tray brought about, in order of their tasks. */
  public List<Inspected> inspectionsOf(TrayId trayId) {
    return context
        .select(TASK_RECORD.ID, TASK_RECORD.TASK_ID)
        .select(INSPECTION.fields())
        .from(TASK_RECORD)
        .join(TASK)
        .on(TASK.ID.eq(TASK_RECORD.TASK_ID))
        .leftJoin(INSPECTION)
        .on(INSPECTION.RECORD_ID.eq(TASK_RECORD.ID), isLatest())
        .where(TASK_RECORD.TRAY_ID.eq(trayId), TASK.ACTION.eq("INSPECT"))
        .and(ServiceRepository.stands())
        .orderBy(TASK_RECORD.TASK_ID)
        .fetch(
            row ->
                new Inspected(row.get(TASK_RECORD.ID), row.get(TASK_RECORD.TASK_ID), found(row)));
  }

  /** What an inspection found; empty for a record without one. */
  static Optional<Found> found(Record row) {
    return Optional.ofNullable(row.get(INSPECTION.OUTCOME))
        .map(InspectionOutcome::valueOf)
        .map(
            outcome ->
                new Found(
                    outcome,
                    value(row, row.get(INSPECTION.VALUE)),
                    value(row, row.get(INSPECTION.VALUE_AFTER))));
  }

  private static Optional<InspectedValue> value(Record row, @Nullable Long base) {
    return Optional.ofNullable(base)
        .map(b -> new InspectedValue(ValueKind.valueOf(row.get(INSPECTION.VALUE_KIND)), b));
  }

  /** Notes what an inspection found; what was noted of it earlier gives way. */
  public void addFound(long recordId, Found found, String note, String actor, Instant at) {
    context
        .insertInto(INSPECTION)
        .set(INSPECTION.RECORD_ID, recordId)
        .set(INSPECTION.OUTCOME, found.outcome().name())
        .set(INSPECTION.VALUE_KIND, found.value().map(v -> v.kind().name()).orElse(null))
        .set(INSPECTION.VALUE, found.value().map(InspectedValue::base).orElse(null))
        .set(INSPECTION.VALUE_AFTER, found.after().map(InspectedValue::base).orElse(null))
        .set(INSPECTION.NOTE, note)
        .set(INSPECTION.ACTOR, actor)
        .set(INSPECTION.RECORDED_AT, at)
        .execute();
  }

  /** The fills of units that have not been withdrawn, by unit, in order of their days. */
  public Map<UnitId, List<RecordedFill>> fills(UnitScope units) {
    return standingFills(units.holds(FILL.UNIT_ID)).stream()
        .collect(
            Collectors.groupingBy(
                NotedFill::unitId, Collectors.mapping(NotedFill::fill, Collectors.toList())));
  }

  /** The fills noted on a tray. */
  public List<RecordedFill> fillsOf(TrayId trayId) {
    return standingFills(FILL.TRAY_ID.eq(trayId)).stream().map(NotedFill::fill).toList();
  }

  private List<NotedFill> standingFills(Condition which) {
    var later = FILL.as("later_fill");
    return context
        .selectFrom(FILL)
        .where(which, FILL.WITHDRAWS.isNull())
        .andNotExists(DSL.selectOne().from(later).where(later.WITHDRAWS.eq(FILL.ID)))
        .orderBy(FILL.FILLED_ON, FILL.ID)
        .fetch(RecordRepository::fill);
  }

  private static NotedFill fill(Record row) {
    return new NotedFill(
        new RecordedFill(
            row.get(FILL.ID),
            row.get(FILL.COMPARTMENT_ID),
            row.get(FILL.ITEM_ID),
            FillCondition.valueOf(row.get(FILL.CONDITION)),
            new Volume(row.get(FILL.VOLUME_UL)),
            Optional.ofNullable(row.get(FILL.DRAINED_UL)).map(Volume::new),
            Optional.ofNullable(row.get(FILL.LEVEL)).map(FillLevel::valueOf),
            row.get(FILL.FILLED_ON),
            row.get(FILL.ACTOR)),
        row.get(FILL.UNIT_ID),
        Optional.ofNullable(row.get(FILL.TRAY_ID)));
  }

  /** Notes what was poured, on a tray if it was one. */
  public void addFill(
      UnitId unitId, NewFill fill, Optional<TrayId> trayId, String note, Instant at) {
    insertFill(unitId, fill, trayId, Optional.empty(), note, at);
  }

  /** Withdraws every fill of a tray by a line that names it. */
  public void withdrawFillsOf(TrayId trayId, String reason, String actor, Instant at) {
    standingFills(FILL.TRAY_ID.eq(trayId))
        .forEach(
            noted ->
                insertFill(
                    noted.unitId(),
                    noted.fill().by(actor),
                    noted.trayId(),
                    Optional.of(noted.fill().id()),
                    reason,
                    at));
  }

  private void insertFill(
      UnitId unitId,
      NewFill fill,
      Optional<TrayId> trayId,
      Optional<Long> withdraws,
      String note,
      Instant at) {
    context
        .insertInto(FILL)
        .set(FILL.UNIT_ID, unitId)
        .set(FILL.COMPARTMENT_ID, fill.compartmentId())
        .set(FILL.ITEM_ID, fill.itemId())
        .set(FILL.CONDITION, fill.condition().name())
        .set(FILL.VOLUME_UL, fill.volume().microlitres())
        .set(FILL.DRAINED_UL, fill.drained().map(Volume::microlitres).orElse(null))
        .set(FILL.LEVEL, fill.level().map(FillLevel::name).orElse(null))
        .set(FILL.FILLED_ON, fill.day())
        .set(FILL.TRAY_ID, trayId.orElse(null))
        .set(FILL.WITHDRAWS, withdraws.orElse(null))
        .set(FILL.NOTE, note)
        .set(FILL.ACTOR, fill.actor())
        .set(FILL.RECORDED_AT, at)
        .execute();
  }

  /** A move that is in force, with its reason. */
  public record Move(LocalDate day, String reason, String actor) {}

  /**
   * By unit and task, the day to which a person moved the next occurrence. A move ends when it is
   * recorded after it that the task was done later than was known then, or is moved back; what is
   * noted of longer ago does not touch it.
   */
  public Map<UnitId, Map<TaskId, Move>> moves(UnitScope units) {
    var later = TASK_MOVE.as("later_move");
    var known = TASK_RECORD.as("known_record");
    var undone = TASK_RECORD.as("undone_record");
    Map<UnitId, Map<TaskId, Move>> moves = new HashMap<>();
    context
        .selectFrom(TASK_MOVE)
        .where(units.holds(TASK_MOVE.UNIT_ID), TASK_MOVE.MOVED_ON.isNotNull())
        .andNotExists(
            DSL.selectOne()
                .from(later)
                .where(later.UNIT_ID.eq(TASK_MOVE.UNIT_ID), later.TASK_ID.eq(TASK_MOVE.TASK_ID))
                .and(later.ID.gt(TASK_MOVE.ID)))
        .andNotExists(
            DSL.selectOne()
                .from(TASK_RECORD)
                .where(TASK_RECORD.UNIT_ID.eq(TASK_MOVE.UNIT_ID))
                .and(TASK_RECORD.TASK_ID.eq(TASK_MOVE.TASK_ID))
                .and(TASK_RECORD.RECORDED_AT.ge(TASK_MOVE.RECORDED_AT))
                .and(ServiceRepository.stands())
                .andNotExists(
                    DSL.selectOne()
                        .from(known)
                        .where(known.UNIT_ID.eq(TASK_MOVE.UNIT_ID))
                        .and(known.TASK_ID.eq(TASK_MOVE.TASK_ID))
                        .and(known.RECORDED_AT.lt(TASK_MOVE.RECORDED_AT))
                        .and(known.WITHDRAWS.isNull())
                        .andNotExists(
                            DSL.selectOne().from(undone).where(undone.WITHDRAWS.eq(known.ID)))
                        .and(known.DONE_ON.gt(TASK_RECORD.DONE_ON))))
        .forEach(
            row ->
                moves
                    .computeIfAbsent(row.get(TASK_MOVE.UNIT_ID), id -> new HashMap<>())
                    .put(
                        row.get(TASK_MOVE.TASK_ID),
                        new Move(
                            row.get(TASK_MOVE.MOVED_ON),
                            row.get(TASK_MOVE.REASON),
                            row.get(TASK_MOVE.ACTOR))));
    return moves;
  }

  /** Moves the next occurrence of a task to a day, or back to its own. */
  public void move(
      UnitId unitId,
      TaskId taskId,
      Optional<LocalDate> day,
      String reason,
      String actor,
      Instant at) {
    context
        .insertInto(TASK_MOVE)
        .set(TASK_MOVE.UNIT_ID, unitId)
        .set(TASK_MOVE.TASK_ID, taskId)
        .set(TASK_MOVE.MOVED_ON, day.orElse(null))
        .set(TASK_MOVE.REASON, reason)
        .set(TASK_MOVE.ACTOR, actor)
        .set(TASK_MOVE.RECORDED_AT, at)
        .execute();
  }
}

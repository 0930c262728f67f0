package dev.lonja.store.service;

import static dev.lonja.store.schema.Tables.INSPECTION;
import static dev.lonja.store.schema.Tables.METER;
import static dev.lonja.store.schema.Tables.TASK;
import static dev.lonja.store.schema.Tables.TASK_RECORD;
import static dev.lonja.store.schema.Tables.TRAY;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.inspection.Found;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.service.TaskId;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;

/**
 * The work of one unit that is on record, from trays and without; lines are added, never changed.
 */
public final class WorkLog {

  private final DSLContext context;

  public WorkLog(DSLContext context) {
    this.context = context;
  }

  /**
   * Work that is on record and not withdrawn.
   *
   * @param life of the machine by the task's meter
   * @param tray its number, if it came from one
   * @param found by an inspection, where that is known
   * @param note where it was done and what proves it, for work without a tray
   */
  public record Noted(
      long id,
      TaskId taskId,
      String task,
      LocalDate doneOn,
      Optional<MeterValue> life,
      Optional<String> tray,
      Optional<Found> found,
      String note,
      String actor) {}

  /** The latest work of a unit, the last done first. */
  public List<Noted> latest(UnitId unitId, int most) {
    return noted(TASK_RECORD.UNIT_ID.eq(unitId), most);
  }

  /** All records of one task of a unit that stand, the first done first. */
  public List<Noted> of(UnitId unitId, TaskId taskId) {
    List<Noted> noted =
        new ArrayList<>(
            noted(
                TASK_RECORD.UNIT_ID.eq(unitId).and(TASK_RECORD.TASK_ID.eq(taskId)),
                Integer.MAX_VALUE));
    Collections.reverse(noted);
    return noted;
  }

  /** One record of a unit, unless it was withdrawn. */
  public Optional<Noted> byId(UnitId unitId, long id) {
    return noted(TASK_RECORD.UNIT_ID.eq(unitId).and(TASK_RECORD.ID.eq(id)), 1).stream().findFirst();
  }

  /** Whether a task is on record for a day. */
  public boolean isDone(UnitId unitId, TaskId taskId, LocalDate day) {
    return context.fetchExists(
        TASK_RECORD,
        TASK_RECORD
            .UNIT_ID
            .eq(unitId)
            .and(TASK_RECORD.TASK_ID.eq(taskId))
            .and(TASK_RECORD.DONE_ON.eq(day))
            .and(ServiceRepository.stands()));
  }

  private List<Noted> noted(Condition which, int most) {
    return context
        .select(TASK_RECORD.fields())
        .select(TASK.NAME, TRAY.NUMBER, METER.MEASURE)
        .select(INSPECTION.OUTCOME, INSPECTION.VALUE_KIND, INSPECTION.VALUE, INSPECTION.VALUE_AFTER)
        .from(TASK_RECORD)
        .join(TASK)
        .on(TASK.ID.eq(TASK_RECORD.TASK_ID))
        .leftJoin(TRAY)
        .on(TRAY.ID.eq(TASK_RECORD.TRAY_ID))
        .leftJoin(INSPECTION)
        .on(INSPECTION.RECORD_ID.eq(TASK_RECORD.ID), RecordRepository.isLatest())
        .leftJoin(METER)
        .on(METER.UNIT_ID.eq(TASK_RECORD.UNIT_ID), METER.NAME.eq(TASK.METER_NAME))
        .where(which, ServiceRepository.stands())
        .orderBy(TASK_RECORD.DONE_ON.desc(), TASK_RECORD.ID.desc())
        .limit(most)
        .fetch(WorkLog::noted);
  }

  private static Noted noted(Record row) {
    return new Noted(
        row.get(TASK_RECORD.ID),
        row.get(TASK_RECORD.TASK_ID),
        row.get(TASK.NAME),
        row.get(TASK_RECORD.DONE_ON),
        Optional.ofNullable(row.get(TASK_RECORD.LIFE_TENTHS))
            .filter(tenths -> row.get(METER.MEASURE) != null)
            .map(tenths -> new MeterValue(tenths, MeterMeasure.ofSymbol(row.get(METER.MEASURE)))),
        Optional.ofNullable(row.get(TRAY.NUMBER)),
        RecordRepository.found(row),
        row.get(TASK_RECORD.REASON),
        row.get(TASK_RECORD.ACTOR));
  }

  /** Records work that no tray brought about; returns the record's number. */
  public long add(
      UnitId unitId,
      TaskId taskId,
      LocalDate day,
      Optional<MeterValue> life,
      String note,
      String actor,
      Instant at) {
    return insert(unitId, taskId, day, life, Optional.empty(), note, actor, at);
  }

  /** Withdraws a record by a line that names it. */
  public void withdraw(UnitId unitId, Noted wrong, String reason, String actor, Instant at) {
    insert(
        unitId,
        wrong.taskId(),
        wrong.doneOn(),
        wrong.life(),
        Optional.of(wrong.id()),
        reason,
        actor,
        at);
  }

  private long insert(
      UnitId unitId,
      TaskId taskId,
      LocalDate day,
      Optional<MeterValue> life,
      Optional<Long> withdraws,
      String reason,
      String actor,
      Instant at) {
    return context
        .insertInto(TASK_RECORD)
        .set(TASK_RECORD.UNIT_ID, unitId)
        .set(TASK_RECORD.TASK_ID, taskId)
        .set(TASK_RECORD.DONE_ON, day)
        .set(TASK_RECORD.LIFE_TENTHS, life.map(MeterValue::tenths).orElse(null))
        .set(TASK_RECORD.WITHDRAWS, withdraws.orElse(null))
        .set(TASK_RECORD.REASON, reason)
        .set(TASK_RECORD.ACTOR, actor)
        .set(TASK_RECORD.RECORDED_AT, at)
        .returning(TASK_RECORD.ID)
        .fetchSingle(TASK_RECORD.ID);
  }
}

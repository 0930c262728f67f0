package dev.lonja.store.verification;

import static dev.lonja.store.schema.Tables.COMPARTMENT;
import static dev.lonja.store.schema.Tables.FINDING;
import static dev.lonja.store.schema.Tables.POSITION;
import static dev.lonja.store.schema.Tables.SERVICE;
import static dev.lonja.store.schema.Tables.TASK;
import static dev.lonja.store.schema.Tables.TRAY;
import static dev.lonja.store.schema.Tables.TRAY_LINE;
import static dev.lonja.store.schema.Tables.TRAY_TASK;
import static dev.lonja.store.schema.Tables.UNIT;
import static dev.lonja.store.schema.Tables.WANTED_PART;

import dev.lonja.core.tray.TrayPurpose;
import dev.lonja.store.verification.Verification.Finding;
import java.util.ArrayList;
import java.util.List;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.TableField;
import org.jooq.impl.DSL;

/** Checks that trays, findings and wanted parts agree with the machines that they are for. */
final class TrayVerification {

  private static final String OTHER = " refers to another variant's ";

  private final DSLContext context;
  private final List<Finding> findings = new ArrayList<>();

  TrayVerification(DSLContext context) {
    this.context = context;
  }

  List<Finding> findings() {
    checkPurposes();
    checkTasks();
    checkLines();
    checkFindings();
    checkWanted();
    return findings;
  }

  private void add(String table, String text) {
    findings.add(new Finding(table, text));
  }

  /** Only a tray for a service serves tasks, and it serves some. */
  private void checkPurposes() {
    var serves = DSL.exists(DSL.selectOne().from(TRAY_TASK).where(TRAY_TASK.TRAY_ID.eq(TRAY.ID)));
    var isService = TRAY.PURPOSE.eq(TrayPurpose.SERVICE.name());
    context
        .select(TRAY.NUMBER)
        .from(TRAY)
        .where(isService.and(DSL.not(serves)))
        .forEach(row -> add("trays", row.value1() + " is for a service and serves no task"));
    context
        .select(TRAY.NUMBER)
        .from(TRAY)
        .where(DSL.not(isService).and(serves))
        .forEach(row -> add("trays", row.value1() + " is for no service and serves a task"));
  }

  private void checkTasks() {
    context
        .select(TRAY.NUMBER)
        .from(TRAY_TASK)
        .join(TRAY)
        .on(TRAY.ID.eq(TRAY_TASK.TRAY_ID))
        .join(UNIT)
        .on(UNIT.ID.eq(TRAY.UNIT_ID))
        .join(TASK)
        .on(TASK.ID.eq(TRAY_TASK.TASK_ID))
        .join(SERVICE)
        .on(SERVICE.ID.eq(TASK.SERVICE_ID))
        .where(SERVICE.VARIANT_ID.ne(UNIT.VARIANT_ID))
        .forEach(row -> add("tray_tasks", row.value1() + OTHER + "task"));
  }

  private void checkLines() {
    context
        .select(TRAY.NUMBER)
        .from(TRAY_LINE)
        .join(TRAY)
        .on(TRAY.ID.eq(TRAY_LINE.TRAY_ID))
        .where(TRAY_LINE.LAID_MICRO.gt(TRAY_LINE.WANTED_MICRO))
        .forEach(row -> add("tray_lines", row.value1() + " holds more than it wants"));
    checkPlace("compartment", TRAY_LINE.COMPARTMENT_ID, COMPARTMENT.ID, COMPARTMENT.VARIANT_ID);
    checkPlace("position", TRAY_LINE.POSITION_ID, POSITION.ID, POSITION.VARIANT_ID);
  }

  /** Where a line goes is of the machine that its tray is for. */
  private <T> void checkPlace(String what, Field<T> of, TableField<?, T> id, Field<Long> variant) {
    context
        .select(TRAY.NUMBER)
        .from(TRAY_LINE)
        .join(TRAY)
        .on(TRAY.ID.eq(TRAY_LINE.TRAY_ID))
        .leftJoin(UNIT)
        .on(UNIT.ID.eq(TRAY.UNIT_ID))
        .join(id.getTable())
        .on(id.eq(of))
        .where(UNIT.ID.isNull().or(variant.ne(UNIT.VARIANT_ID)))
        .forEach(row -> add("tray_lines", row.value1() + OTHER + what));
  }

  /** A job finds something on the machine it was for. */
  private void checkFindings() {
    context
        .select(FINDING.ID)
        .from(FINDING)
        .join(TRAY)
        .on(TRAY.ID.eq(FINDING.TRAY_ID))
        .where(TRAY.UNIT_ID.isNull().or(TRAY.UNIT_ID.ne(FINDING.UNIT_ID)))
        .forEach(row -> add("findings", "row " + row.value1() + " is of another unit's tray"));
  }

  /** What brings a wanted part, what found it and what lacked it are of the machine it is for. */
  private void checkWanted() {
    var brings = TRAY_LINE.as("brings");
    var bringing = TRAY.as("bringing");
    var lacked = TRAY_LINE.as("lacked");
    var lacking = TRAY.as("lacking");
    var other = WANTED_PART.UNIT_ID;
    context
        .select(WANTED_PART.ID)
        .from(WANTED_PART)
        .leftJoin(brings)
        .on(brings.ID.eq(WANTED_PART.LINE_ID))
        .leftJoin(bringing)
        .on(bringing.ID.eq(brings.TRAY_ID))
        .leftJoin(lacked)
        .on(lacked.ID.eq(WANTED_PART.LEFT_OUT_LINE_ID))
        .leftJoin(lacking)
        .on(lacking.ID.eq(lacked.TRAY_ID))
        .leftJoin(FINDING)
        .on(FINDING.ID.eq(WANTED_PART.FINDING_ID))
        .where(
            bringing
                .ID
                .isNotNull()
                .and(bringing.UNIT_ID.isDistinctFrom(other))
                .or(lacking.ID.isNotNull().and(lacking.UNIT_ID.isDistinctFrom(other)))
                .or(FINDING.ID.isNotNull().and(FINDING.UNIT_ID.isDistinctFrom(other))))
        .forEach(row -> add("wanted_parts", "row " + row.value1() + " is for another unit"));
  }
}

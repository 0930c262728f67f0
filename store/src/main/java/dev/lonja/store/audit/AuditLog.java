package dev.lonja.store.audit;

import static dev.lonja.store.schema.Tables.AUDIT_LINE;

import java.time.Instant;
import java.util.List;
import org.jooq.DSLContext;

/** The lines that say who edited what; lines are added and never changed. */
public final class AuditLog {

  /** One edit, with the edited text before and after. */
  public record Line(String action, String before, String after, String actor, Instant at) {}

  private final DSLContext context;

  public AuditLog(DSLContext context) {
    this.context = context;
  }

  public void add(String entity, long entityId, Line line) {
    context
        .insertInto(AUDIT_LINE)
        .set(AUDIT_LINE.ENTITY, entity)
        .set(AUDIT_LINE.ENTITY_ID, entityId)
        .set(AUDIT_LINE.ACTION, line.action())
        .set(AUDIT_LINE.BEFORE_TEXT, line.before())
        .set(AUDIT_LINE.AFTER_TEXT, line.after())
        .set(AUDIT_LINE.ACTOR, line.actor())
        .set(AUDIT_LINE.RECORDED_AT, line.at())
        .execute();
  }

  /** The latest lines of one thing, newest first. */
  public List<Line> latest(String entity, long entityId, int most) {
    return context
        .selectFrom(AUDIT_LINE)
        .where(AUDIT_LINE.ENTITY.eq(entity), AUDIT_LINE.ENTITY_ID.eq(entityId))
        .orderBy(AUDIT_LINE.ID.desc())
        .limit(most)
        .fetch(
            row ->
                new Line(
                    row.get(AUDIT_LINE.ACTION),
                    row.get(AUDIT_LINE.BEFORE_TEXT),
                    row.get(AUDIT_LINE.AFTER_TEXT),
                    row.get(AUDIT_LINE.ACTOR),
                    row.get(AUDIT_LINE.RECORDED_AT)));
  }
}

package dev.lonja.store.audit;

import static dev.lonja.store.schema.Tables.AUDIT_LINE;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.impl.DSL;

/** The lines that say who did what; lines are added and never changed. */
public final class AuditLog {

  private final DSLContext context;

  public AuditLog(DSLContext context) {
    this.context = context;
  }

  public void add(AuditLine line) {
    context
        .insertInto(AUDIT_LINE)
        .set(AUDIT_LINE.RECORDED_AT, line.at())
        .set(AUDIT_LINE.ACTOR, line.actor())
        .set(AUDIT_LINE.ORIGIN, line.origin())
        .set(AUDIT_LINE.MATTER, line.matter().name())
        .set(AUDIT_LINE.SUBJECT, line.subject())
        .set(AUDIT_LINE.DEED, line.deed().name())
        .set(AUDIT_LINE.BEFORE_FACTS, line.before().json())
        .set(AUDIT_LINE.AFTER_FACTS, line.after().json())
        .execute();
  }

  /** The latest lines of one thing, newest first. */
  public List<AuditLine> latest(Matter matter, Object subject, int most) {
    return context
        .selectFrom(AUDIT_LINE)
        .where(AUDIT_LINE.MATTER.eq(matter.name()), AUDIT_LINE.SUBJECT.eq(String.valueOf(subject)))
        .orderBy(AUDIT_LINE.ID.desc())
        .limit(most)
        .fetch(AuditLog::line);
  }

  /** The latest time on record. */
  public Optional<Instant> newest() {
    return Optional.ofNullable(
        context.select(DSL.max(AUDIT_LINE.RECORDED_AT)).from(AUDIT_LINE).fetchSingle().value1());
  }

  /**
   * Which lines are asked for; what is empty asks for all.
   *
   * @param who part of a name, in any case
   * @param from the first instant, and {@code until} the first one after the last
   */
  public record Filter(
      String who,
      Optional<Matter> matter,
      Optional<Deed> deed,
      Optional<Instant> from,
      Optional<Instant> until) {}

  /** A line and its number, by which the next older ones are asked for. */
  public record Numbered(long number, AuditLine line) {}

  /** The latest lines that a filter lets through, older than a number if one is given. */
  public List<Numbered> search(Filter filter, Optional<Long> olderThan, int most) {
    return context
        .selectFrom(AUDIT_LINE)
        .where(condition(filter), olderThan.map(AUDIT_LINE.ID::lt).orElse(DSL.noCondition()))
        .orderBy(AUDIT_LINE.ID.desc())
        .limit(most)
        .fetch(row -> new Numbered(row.get(AUDIT_LINE.ID), line(row)));
  }

  /** Hands on every line that a filter lets through, the oldest first, one by one. */
  public void each(Filter filter, Consumer<AuditLine> taken) {
    try (Stream<AuditLine> lines =
        context
            .selectFrom(AUDIT_LINE)
            .where(condition(filter))
            .orderBy(AUDIT_LINE.ID)
            .fetchStream()
            .map(AuditLog::line)) {
      lines.forEach(taken);
    }
  }

  private static Condition condition(Filter filter) {
    List<Condition> all = new ArrayList<>();
    if (!filter.who().isEmpty()) {
      all.add(AUDIT_LINE.ACTOR.containsIgnoreCase(filter.who()));
    }
    filter.matter().map(matter -> AUDIT_LINE.MATTER.eq(matter.name())).ifPresent(all::add);
    filter.deed().map(deed -> AUDIT_LINE.DEED.eq(deed.name())).ifPresent(all::add);
    filter.from().map(AUDIT_LINE.RECORDED_AT::ge).ifPresent(all::add);
    filter.until().map(AUDIT_LINE.RECORDED_AT::lt).ifPresent(all::add);
    return DSL.and(all);
  }

  private static AuditLine line(Record row) {
    return new AuditLine(
        row.get(AUDIT_LINE.RECORDED_AT),
        row.get(AUDIT_LINE.ACTOR),
        row.get(AUDIT_LINE.ORIGIN),
        Matter.valueOf(row.get(AUDIT_LINE.MATTER)),
        row.get(AUDIT_LINE.SUBJECT),
        Deed.valueOf(row.get(AUDIT_LINE.DEED)),
        Facts.ofJson(row.get(AUDIT_LINE.BEFORE_FACTS)),
        Facts.ofJson(row.get(AUDIT_LINE.AFTER_FACTS)));
  }
}

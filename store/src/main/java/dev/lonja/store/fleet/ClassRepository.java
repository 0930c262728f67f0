package dev.lonja.store.fleet;

import static dev.lonja.store.schema.Tables.CALENDAR_FEED;
import static dev.lonja.store.schema.Tables.CLASS_MONTH;
import static dev.lonja.store.schema.Tables.UNIT;
import static dev.lonja.store.schema.Tables.UNIT_CLASS;

import dev.lonja.core.calendar.UsageCalendar;
import dev.lonja.core.fleet.Outline;
import dev.lonja.core.fleet.Unit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.impl.DSL;

/** Classes of units, their months, and the secret addresses of their calendars. */
public final class ClassRepository {

  private final DSLContext context;

  public ClassRepository(DSLContext context) {
    this.context = context;
  }

  /**
   * A class as it is kept.
   *
   * @param secret of its calendar's address, if it has one
   */
  public record StoredClass(
      Unit.UnitClass unitClass,
      Outline outline,
      List<Integer> months,
      long version,
      Optional<String> secret) {}

  /** All classes, in order of their codes. */
  public List<StoredClass> all() {
    Map<Long, List<Integer>> months =
        context
            .selectFrom(CLASS_MONTH)
            .orderBy(CLASS_MONTH.CLASS_ID, CLASS_MONTH.MONTH)
            .fetchGroups(
                CLASS_MONTH.CLASS_ID, row -> Math.toIntExact(row.get(CLASS_MONTH.FACTOR_E4)));
    Map<Long, String> secrets =
        context.selectFrom(CALENDAR_FEED).fetchMap(CALENDAR_FEED.CLASS_ID, CALENDAR_FEED.SECRET);
    return context
        .selectFrom(UNIT_CLASS)
        .orderBy(UNIT_CLASS.CODE)
        .fetch(
            row ->
                new StoredClass(
                    unitClass(row),
                    Outline.valueOf(row.get(UNIT_CLASS.OUTLINE)),
                    months.getOrDefault(
                        row.get(UNIT_CLASS.ID), UsageCalendar.EVEN.monthlyFactors()),
                    row.get(UNIT_CLASS.VERSION),
                    Optional.ofNullable(secrets.get(row.get(UNIT_CLASS.ID)))));
  }

  public Optional<StoredClass> byCode(String code) {
    return all().stream()
        .filter(stored -> stored.unitClass().code().equalsIgnoreCase(code))
        .findFirst();
  }

  private static Unit.UnitClass unitClass(Record row) {
    return new Unit.UnitClass(
        row.get(UNIT_CLASS.ID), row.get(UNIT_CLASS.CODE), row.get(UNIT_CLASS.NAME));
  }

  /** Adds a class whose months are all alike; its code must be free. */
  public long add(String code, String name) {
    return context
        .insertInto(UNIT_CLASS)
        .set(UNIT_CLASS.CODE, code)
        .set(UNIT_CLASS.NAME, name)
        .returning(UNIT_CLASS.ID)
        .fetchSingle(UNIT_CLASS.ID);
  }

  /**
   * Renames a class and draws it by a shape; false if someone else changed it since it was read
   * with this version.
   */
  public boolean edit(long classId, long readVersion, String name, Outline outline) {
    return context
            .update(UNIT_CLASS)
            .set(UNIT_CLASS.NAME, name)
            .set(UNIT_CLASS.OUTLINE, outline.name())
            .set(UNIT_CLASS.VERSION, readVersion + 1)
            .where(UNIT_CLASS.ID.eq(classId), UNIT_CLASS.VERSION.eq(readVersion))
            .execute()
        == 1;
  }

  /** Sets the months; false if someone else changed the class since it was read. */
  public boolean setMonths(long classId, long readVersion, List<Integer> factors) {
    boolean unchanged =
        context
                .update(UNIT_CLASS)
                .set(UNIT_CLASS.VERSION, readVersion + 1)
                .where(UNIT_CLASS.ID.eq(classId), UNIT_CLASS.VERSION.eq(readVersion))
                .execute()
            == 1;
    if (!unchanged) {
      return false;
    }
    context.deleteFrom(CLASS_MONTH).where(CLASS_MONTH.CLASS_ID.eq(classId)).execute();
    for (int month = 0; month < factors.size(); month++) {
      context
          .insertInto(CLASS_MONTH)
          .set(CLASS_MONTH.CLASS_ID, classId)
          .set(CLASS_MONTH.MONTH, month + 1L)
          .set(CLASS_MONTH.FACTOR_E4, (long) factors.get(month))
          .execute();
    }
    return true;
  }

  /** How many units belong to the class, retired ones too. */
  public int units(long classId) {
    return context.fetchCount(UNIT, UNIT.CLASS_ID.eq(classId));
  }

  /** Deletes a class that no unit belongs to, with its months and its calendar. */
  public void delete(long classId) {
    context.deleteFrom(CLASS_MONTH).where(CLASS_MONTH.CLASS_ID.eq(classId)).execute();
    context.deleteFrom(CALENDAR_FEED).where(CALENDAR_FEED.CLASS_ID.eq(classId)).execute();
    context.deleteFrom(UNIT_CLASS).where(UNIT_CLASS.ID.eq(classId)).execute();
  }

  /** Gives the class's calendar this address, or none; an earlier one leads nowhere any more. */
  public void setSecret(long classId, Optional<String> secret) {
    context.deleteFrom(CALENDAR_FEED).where(CALENDAR_FEED.CLASS_ID.eq(classId)).execute();
    secret.ifPresent(
        value ->
            context
                .insertInto(CALENDAR_FEED)
                .set(CALENDAR_FEED.CLASS_ID, classId)
                .set(CALENDAR_FEED.SECRET, value)
                .execute());
  }

  /** The class whose calendar has this address. */
  public Optional<Unit.UnitClass> bySecret(String secret) {
    return context
        .select(UNIT_CLASS.asterisk())
        .from(UNIT_CLASS)
        .join(CALENDAR_FEED)
        .on(CALENDAR_FEED.CLASS_ID.eq(UNIT_CLASS.ID))
        .where(CALENDAR_FEED.SECRET.eq(DSL.val(secret)))
        .fetchOptional(ClassRepository::unitClass);
  }
}

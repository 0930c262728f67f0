package dev.lonja.store.ledger;

import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.MOVEMENT;
import static dev.lonja.store.schema.Tables.TRAY;

import dev.lonja.core.forecast.UnplannedUse;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.impl.DSL;

/**
 * What was issued without a service: over the counter, on trays that nobody planned, for the
 * workshop itself. Top-ups have a use of their own and are left aside.
 */
public final class UnplannedIssues {

  private static final int DAYS = 7;

  private final DSLContext context;
  private final ZoneId zone;

  /**
   * @param zone in which the store's days begin
   */
  public UnplannedIssues(DSLContext context, ZoneId zone) {
    this.context = context;
    this.zone = zone;
  }

  /** By item, what is used beside services; items of which too little is known are left aside. */
  public List<UnplannedUse> uses(LocalDate today) {
    LocalDate first = today.minusDays((long) DAYS * (UnplannedUse.MOST_WEEKS + 1));
    Map<ItemId, List<UnplannedUse.Issue>> issues = issues(first);
    Map<ItemId, LocalDate> since = firstMovements(issues.keySet());
    List<UnplannedUse> uses = new ArrayList<>();
    issues.forEach(
        (item, its) -> UnplannedUse.of(item, its, since.get(item), today).ifPresent(uses::add));
    return uses;
  }

  private Map<ItemId, List<UnplannedUse.Issue>> issues(LocalDate from) {
    Condition unplanned =
        MOVEMENT
            .KIND
            .eq("ISSUE")
            .and(MOVEMENT.RECORDED_AT.ge(from.atStartOfDay(zone).toInstant()))
            .and(DSL.condition("{0} NOT GLOB 'TU-[0-9]*'", MOVEMENT.REFERENCE))
            .andNotExists(
                DSL.selectOne()
                    .from(TRAY)
                    .where(TRAY.NUMBER.eq(MOVEMENT.REFERENCE), TRAY.PURPOSE.eq("SERVICE")));
    Map<Long, Long> back = back(unplanned);
    // one issue may have drawn on several lots
    Map<String, Booked> booked = new TreeMap<>();
    context
        .select(
            MOVEMENT.ID,
            MOVEMENT.ITEM_ID,
            MOVEMENT.REQUEST_KEY,
            MOVEMENT.RECORDED_AT,
            MOVEMENT.QUANTITY_MICRO,
            ITEM.MEASURE)
        .from(MOVEMENT)
        .join(ITEM)
        .on(ITEM.ID.eq(MOVEMENT.ITEM_ID))
        .where(unplanned)
        .orderBy(MOVEMENT.ID)
        .forEach(
            row ->
                booked.merge(
                    row.get(MOVEMENT.ITEM_ID) + " " + row.get(MOVEMENT.REQUEST_KEY),
                    booked(row, back.getOrDefault(row.get(MOVEMENT.ID), 0L)),
                    Booked::and));
    Map<ItemId, List<UnplannedUse.Issue>> byItem = new TreeMap<>();
    booked
        .values()
        .forEach(
            one ->
                byItem
                    .computeIfAbsent(one.item(), item -> new ArrayList<>())
                    .add(new UnplannedUse.Issue(one.day(), one.left())));
    return byItem;
  }

  private record Booked(ItemId item, LocalDate day, Quantity left) {

    Booked and(Booked other) {
      return new Booked(item, day, left.plus(other.left));
    }
  }

  private Booked booked(Record row, long back) {
    Instant at = row.get(MOVEMENT.RECORDED_AT);
    return new Booked(
        row.get(MOVEMENT.ITEM_ID),
        LocalDate.ofInstant(at, zone),
        new Quantity(
            Measure.ofSymbol(row.get(ITEM.MEASURE)), -row.get(MOVEMENT.QUANTITY_MICRO) - back));
  }

  /** By issue, what came back of it or was corrected, less what of that was corrected again. */
  private Map<Long, Long> back(Condition unplanned) {
    var first = MOVEMENT.as("first");
    var second = MOVEMENT.as("second");
    Map<Long, Long> back = new HashMap<>();
    Field<Long> whole =
        first.QUANTITY_MICRO.plus(
            DSL.coalesce(
                DSL.field(
                    DSL.select(DSL.sum(second.QUANTITY_MICRO).cast(Long.class))
                        .from(second)
                        .where(second.REFERS_TO.eq(first.ID))),
                0L));
    context
        .select(first.REFERS_TO, whole)
        .from(MOVEMENT)
        .join(first)
        .on(first.REFERS_TO.eq(MOVEMENT.ID))
        .where(unplanned)
        .forEach(row -> back.merge(row.value1(), row.value2(), Long::sum));
    return back;
  }

  private Map<ItemId, LocalDate> firstMovements(Collection<ItemId> items) {
    Field<Instant> first = DSL.min(MOVEMENT.RECORDED_AT);
    return context
        .select(MOVEMENT.ITEM_ID, first)
        .from(MOVEMENT)
        .where(MOVEMENT.ITEM_ID.in(items))
        .groupBy(MOVEMENT.ITEM_ID)
        .fetchMap(MOVEMENT.ITEM_ID, row -> LocalDate.ofInstant(row.get(first), zone));
  }
}

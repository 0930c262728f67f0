package dev.lonja.store.ledger;

import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.MOVEMENT;
import static dev.lonja.store.schema.Tables.TRAY;

import dev.lonja.core.forecast.UnplannedUse;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.store.schema.tables.Movement;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
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

  private static final Movement ANSWER = MOVEMENT.as("answer");
  private static final Movement SECOND = MOVEMENT.as("second");
  private static final Movement OTHER = MOVEMENT.as("other");

  private static final Field<Long> BACK = back();

  private static final Field<Instant> FIRST_MOVEMENT =
      DSL.field(
          DSL.select(DSL.min(OTHER.RECORDED_AT))
              .from(OTHER)
              .where(OTHER.ITEM_ID.eq(MOVEMENT.ITEM_ID)));

  private final DSLContext context;
  private final ZoneId zone;

  /**
   * @param zone in which the store's days begin
   */
  public UnplannedIssues(DSLContext context, ZoneId zone) {
    this.context = context;
    this.zone = zone;
  }

  private static Field<Long> back() {
    Field<Long> again =
        DSL.field(
            DSL.select(DSL.sum(SECOND.QUANTITY_MICRO).cast(Long.class))
                .from(SECOND)
                .where(SECOND.REFERS_TO.eq(ANSWER.ID)));
    return DSL.coalesce(
        DSL.field(
            DSL.select(
                    DSL.sum(ANSWER.QUANTITY_MICRO.plus(DSL.coalesce(again, 0L))).cast(Long.class))
                .from(ANSWER)
                .where(ANSWER.REFERS_TO.eq(MOVEMENT.ID))),
        0L);
  }

  /**
   * By item, what was used beside services up to a day; items of which too little was known then
   * are left aside.
   */
  public List<UnplannedUse> uses(LocalDate today) {
    LocalDate from = today.minusDays((long) DAYS * (UnplannedUse.MOST_WEEKS + 1));
    // one issue may have drawn on several lots
    Map<String, Booked> booked = new TreeMap<>();
    for (Record row : issues(from, today)) {
      booked.merge(
          row.get(MOVEMENT.ITEM_ID) + " " + row.get(MOVEMENT.REQUEST_KEY),
          booked(row),
          Booked::and);
    }
    Map<ItemId, List<Booked>> byItem = new TreeMap<>();
    booked
        .values()
        .forEach(one -> byItem.computeIfAbsent(one.item(), i -> new ArrayList<>()).add(one));
    List<UnplannedUse> uses = new ArrayList<>();
    byItem.forEach(
        (item, its) ->
            UnplannedUse.of(
                    item,
                    its.stream().map(Booked::issue).toList(),
                    its.get(0).firstMovement(),
                    today)
                .ifPresent(uses::add));
    return uses;
  }

  /** With what came back of each or was corrected, less what of that was corrected again. */
  private List<? extends Record> issues(LocalDate from, LocalDate today) {
    return context
        .select(
            MOVEMENT.ITEM_ID,
            MOVEMENT.REQUEST_KEY,
            MOVEMENT.RECORDED_AT,
            MOVEMENT.QUANTITY_MICRO,
            ITEM.MEASURE,
            BACK,
            FIRST_MOVEMENT)
        .from(MOVEMENT)
        .join(ITEM)
        .on(ITEM.ID.eq(MOVEMENT.ITEM_ID))
        .where(
            MOVEMENT.KIND.eq("ISSUE"),
            MOVEMENT.RECORDED_AT.ge(from.atStartOfDay(zone).toInstant()),
            MOVEMENT.RECORDED_AT.lt(today.plusDays(1).atStartOfDay(zone).toInstant()),
            DSL.condition("{0} NOT GLOB 'TU-[0-9]*'", MOVEMENT.REFERENCE))
        .andNotExists(
            DSL.selectOne()
                .from(TRAY)
                .where(TRAY.NUMBER.eq(MOVEMENT.REFERENCE), TRAY.PURPOSE.eq("SERVICE")))
        .orderBy(MOVEMENT.ID)
        .fetch();
  }

  private record Booked(ItemId item, LocalDate day, Quantity left, LocalDate firstMovement) {

    Booked and(Booked other) {
      return new Booked(item, day, left.plus(other.left), firstMovement);
    }

    UnplannedUse.Issue issue() {
      return new UnplannedUse.Issue(day, left);
    }
  }

  private Booked booked(Record row) {
    return new Booked(
        row.get(MOVEMENT.ITEM_ID),
        LocalDate.ofInstant(row.get(MOVEMENT.RECORDED_AT), zone),
        new Quantity(
            Measure.ofSymbol(row.get(ITEM.MEASURE)),
            -row.get(MOVEMENT.QUANTITY_MICRO) - row.get(BACK)),
        LocalDate.ofInstant(row.get(FIRST_MOVEMENT), zone));
  }
}

package dev.lonja.store.ledger;

import static dev.lonja.store.schema.Tables.BIN;
import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.MOVEMENT;
import static dev.lonja.store.schema.Tables.TOP_UP;
import static dev.lonja.store.schema.Tables.TRAY;
import static dev.lonja.store.schema.Tables.UNIT;

import dev.lonja.core.forecast.UnplannedUse;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.store.schema.tables.Movement;
import dev.lonja.store.schema.tables.TopUp;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.Select;
import org.jooq.impl.DSL;

/**
 * What was issued without a service: over the counter, on trays that nobody planned, for the
 * workshop itself. Top-ups have a use of their own and are left aside.
 */
public final class UnplannedIssues {

  private static final int DAYS = 7;

  private static final Movement ANSWER = MOVEMENT.as("answer");
  private static final Movement SECOND = MOVEMENT.as("second");

  private static final Field<Long> BACK = back();

  private static final Field<Instant> FIRST = DSL.min(MOVEMENT.RECORDED_AT);

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
   * By item and place, what was used beside services up to a day; items of which too little was
   * known then are left aside. What was issued for a machine was used at its home, all else where
   * it lay.
   */
  public List<UnplannedUse> uses(LocalDate today) {
    LocalDate from = today.minusDays((long) DAYS * (UnplannedUse.MOST_WEEKS + 1));
    // one issue may have drawn on several lots
    Map<String, Booked> booked = new TreeMap<>();
    for (Record row : issues(from, today)) {
      Booked one = booked(row);
      booked.merge(one.use() + " " + row.get(MOVEMENT.REQUEST_KEY), one, Booked::and);
    }
    Map<Use, List<UnplannedUse.Issue>> issues = new TreeMap<>();
    booked
        .values()
        .forEach(one -> issues.computeIfAbsent(one.use(), i -> new ArrayList<>()).add(one.issue()));
    Map<Use, LocalDate> first = first(issues.keySet());
    List<UnplannedUse> uses = new ArrayList<>();
    issues.forEach(
        (use, its) ->
            UnplannedUse.of(use.item(), use.place(), its, first.getOrDefault(use, today), today)
                .ifPresent(uses::add));
    return uses;
  }

  /** When each was first moved at its place. */
  private Map<Use, LocalDate> first(Collection<Use> uses) {
    return context
        .select(MOVEMENT.ITEM_ID, BIN.SATELLITE_ID, FIRST)
        .from(MOVEMENT)
        .join(BIN)
        .on(BIN.ID.eq(MOVEMENT.BIN_ID))
        .where(MOVEMENT.ITEM_ID.in(uses.stream().map(Use::item).distinct().toList()))
        .groupBy(MOVEMENT.ITEM_ID, BIN.SATELLITE_ID)
        .fetchMap(
            row -> new Use(row.get(MOVEMENT.ITEM_ID), Place.of(row.get(BIN.SATELLITE_ID))),
            row -> LocalDate.ofInstant(row.get(FIRST), zone));
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
            UNIT.ID,
            UNIT.SATELLITE_ID,
            BIN.SATELLITE_ID,
            BACK)
        .from(MOVEMENT)
        .join(ITEM)
        .on(ITEM.ID.eq(MOVEMENT.ITEM_ID))
        .join(BIN)
        .on(BIN.ID.eq(MOVEMENT.BIN_ID))
        .leftJoin(TRAY)
        .on(TRAY.NUMBER.eq(MOVEMENT.REFERENCE))
        .leftJoin(UNIT)
        .on(UNIT.ID.eq(TRAY.UNIT_ID))
        .where(
            MOVEMENT.KIND.eq("ISSUE"),
            MOVEMENT.RECORDED_AT.ge(from.atStartOfDay(zone).toInstant()),
            MOVEMENT.RECORDED_AT.lt(today.plusDays(1).atStartOfDay(zone).toInstant()),
            DSL.condition("{0} NOT GLOB 'TU-[0-9]*'", MOVEMENT.REFERENCE),
            TRAY.PURPOSE.isNull().or(TRAY.PURPOSE.ne("SERVICE")))
        .andNotExists(toppedUp())
        .orderBy(MOVEMENT.ID)
        .fetch();
  }

  /** A tray for a top-up that is on the machine's record. */
  private static Select<?> toppedUp() {
    TopUp later = TOP_UP.as("later");
    return DSL.selectOne()
        .from(TOP_UP)
        .where(
            TOP_UP.TRAY_ID.eq(TRAY.ID),
            TRAY.PURPOSE.eq("TOP_UP"),
            TOP_UP.ITEM_ID.eq(MOVEMENT.ITEM_ID),
            TOP_UP.WITHDRAWS.isNull())
        .andNotExists(DSL.selectOne().from(later).where(later.WITHDRAWS.eq(TOP_UP.ID)));
  }

  /** A thing at a place. */
  private record Use(ItemId item, Place place) implements Comparable<Use> {

    private static final Comparator<Use> ORDER =
        Comparator.comparing(Use::item).thenComparing(Use::place);

    @Override
    public int compareTo(Use other) {
      return ORDER.compare(this, other);
    }
  }

  private record Booked(Use use, LocalDate day, Quantity left) {

    Booked and(Booked other) {
      return new Booked(use, day, left.plus(other.left));
    }

    UnplannedUse.Issue issue() {
      return new UnplannedUse.Issue(day, left);
    }
  }

  private Booked booked(Record row) {
    Place place =
        Place.of(row.get(row.get(UNIT.ID) == null ? BIN.SATELLITE_ID : UNIT.SATELLITE_ID));
    return new Booked(
        new Use(row.get(MOVEMENT.ITEM_ID), place),
        LocalDate.ofInstant(row.get(MOVEMENT.RECORDED_AT), zone),
        new Quantity(
            Measure.ofSymbol(row.get(ITEM.MEASURE)),
            -row.get(MOVEMENT.QUANTITY_MICRO) - row.get(BACK)));
  }
}

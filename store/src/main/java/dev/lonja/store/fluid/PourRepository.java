package dev.lonja.store.fluid;

import static dev.lonja.store.schema.Tables.FILL;
import static dev.lonja.store.schema.Tables.SIGN_OFF;
import static dev.lonja.store.schema.Tables.TOP_UP;
import static dev.lonja.store.schema.Tables.TRAY;
import static dev.lonja.store.schema.Tables.TRAY_LINE;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.pour.NewTopUp;
import dev.lonja.core.pour.RecordedTopUp;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.tray.TrayId;
import dev.lonja.store.query.UnitScope;
import dev.lonja.store.schema.tables.Fill;
import dev.lonja.store.schema.tables.TopUp;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.Record1;
import org.jooq.Select;
import org.jooq.impl.DSL;

/** What was signed for, and what was added to compartments; lines are added and never changed. */
public final class PourRepository {

  private final DSLContext context;

  public PourRepository(DSLContext context) {
    this.context = context;
  }

  /** The last fill of a compartment at a drain. */
  public record LastFill(ItemId itemId, LocalDate on) {}

  /**
   * A top-up.
   *
   * @param signOff the signature it needed, if it needed one
   * @param trayId the tray that it went out with, if it did; else it was booked out by itself
   */
  public record StoredTopUp(
      long id,
      CompartmentId compartmentId,
      ItemId itemId,
      Volume volume,
      LocalDate on,
      Optional<SignOff> signOff,
      Optional<TrayId> trayId,
      String note,
      String actor) {}

  public long add(SignOff signOff) {
    return context
        .insertInto(SIGN_OFF)
        .set(SIGN_OFF.UNIT_ID, signOff.unitId())
        .set(SIGN_OFF.COMPARTMENT_ID, signOff.compartmentId())
        .set(SIGN_OFF.ITEM_ID, signOff.itemId())
        .set(SIGN_OFF.TRAY_ID, signOff.trayId().orElse(null))
        .set(SIGN_OFF.VERDICT, signOff.verdict())
        .set(SIGN_OFF.SIGNED_BY, signOff.signedBy())
        .set(SIGN_OFF.WHY, signOff.why())
        .set(SIGN_OFF.ACTOR, signOff.actor())
        .set(SIGN_OFF.RECORDED_AT, signOff.at())
        .returning(SIGN_OFF.ID)
        .fetchSingle(SIGN_OFF.ID);
  }

  /** The signature that a tray's line stands on. */
  public Optional<SignOff> ofTrayLine(long lineId) {
    return context
        .select(SIGN_OFF.asterisk())
        .from(SIGN_OFF)
        .join(TRAY_LINE)
        .on(TRAY_LINE.SIGN_OFF_ID.eq(SIGN_OFF.ID))
        .where(TRAY_LINE.ID.eq(lineId))
        .fetchOptional(PourRepository::signOff);
  }

  /** By line, the signatures that the lines of a tray stand on; lines without are absent. */
  public Map<Long, SignOff> ofTrayLines(TrayId trayId) {
    return context
        .select(SIGN_OFF.asterisk(), TRAY_LINE.ID)
        .from(SIGN_OFF)
        .join(TRAY_LINE)
        .on(TRAY_LINE.SIGN_OFF_ID.eq(SIGN_OFF.ID))
        .where(TRAY_LINE.TRAY_ID.eq(trayId))
        .fetchMap(row -> row.get(TRAY_LINE.ID), PourRepository::signOff);
  }

  /** The number of the signature that a tray's line stands on, if it was for this compartment. */
  public Optional<Long> signOffOf(long lineId, CompartmentId compartmentId) {
    return context
        .select(SIGN_OFF.ID)
        .from(SIGN_OFF)
        .join(TRAY_LINE)
        .on(TRAY_LINE.SIGN_OFF_ID.eq(SIGN_OFF.ID))
        .where(TRAY_LINE.ID.eq(lineId), SIGN_OFF.COMPARTMENT_ID.eq(compartmentId))
        .fetchOptional(SIGN_OFF.ID);
  }

  /** Everything signed for on a unit, newest first. */
  public List<SignOff> ofUnit(UnitId unitId) {
    return context
        .selectFrom(SIGN_OFF)
        .where(SIGN_OFF.UNIT_ID.eq(unitId))
        .orderBy(SIGN_OFF.ID.desc())
        .fetch(PourRepository::signOff);
  }

  /**
   * Notes litres added to a compartment.
   *
   * @param trayId the tray that they went out with, if they did
   */
  public long addTopUp(UnitId unitId, NewTopUp topUp, Optional<TrayId> trayId, Instant at) {
    return context
        .insertInto(TOP_UP)
        .set(TOP_UP.UNIT_ID, unitId)
        .set(TOP_UP.COMPARTMENT_ID, topUp.compartmentId())
        .set(TOP_UP.ITEM_ID, topUp.itemId())
        .set(TOP_UP.VOLUME_UL, topUp.volume().microlitres())
        .set(TOP_UP.ADDED_ON, topUp.day())
        .set(TOP_UP.SIGN_OFF_ID, topUp.signOffId().orElse(null))
        .set(TOP_UP.TRAY_ID, trayId.orElse(null))
        .set(TOP_UP.NOTE, topUp.note())
        .set(TOP_UP.ACTOR, topUp.actor())
        .set(TOP_UP.RECORDED_AT, at)
        .returning(TOP_UP.ID)
        .fetchSingle(TOP_UP.ID);
  }

  /** The last fill of a compartment that was not withdrawn. */
  public Optional<LastFill> lastFill(UnitId unitId, CompartmentId compartmentId) {
    return context
        .select(FILL.ITEM_ID, FILL.FILLED_ON)
        .from(FILL)
        .where(FILL.UNIT_ID.eq(unitId), FILL.COMPARTMENT_ID.eq(compartmentId))
        .and(FILL.WITHDRAWS.isNull())
        .and(FILL.ID.notIn(withdrawnFills()))
        .orderBy(FILL.FILLED_ON.desc(), FILL.ID.desc())
        .limit(1)
        .fetchOptional(row -> new LastFill(row.get(FILL.ITEM_ID), row.get(FILL.FILLED_ON)));
  }

  private static Select<Record1<Long>> withdrawnFills() {
    Fill later = FILL.as("later");
    return DSL.select(later.WITHDRAWS).from(later).where(later.WITHDRAWS.isNotNull());
  }

  /** What was added to a compartment after a day, or ever, and not withdrawn; oldest first. */
  public List<StoredTopUp> topUps(
      UnitId unitId, CompartmentId compartmentId, Optional<LocalDate> after) {
    return topUps(
        TOP_UP
            .UNIT_ID
            .eq(unitId)
            .and(TOP_UP.COMPARTMENT_ID.eq(compartmentId))
            .and(after.map(TOP_UP.ADDED_ON::ge).orElse(DSL.noCondition())));
  }

  /** What was added to a unit and not withdrawn, oldest first. */
  public List<StoredTopUp> topUps(UnitId unitId) {
    return topUps(TOP_UP.UNIT_ID.eq(unitId));
  }

  private List<StoredTopUp> topUps(Condition which) {
    return context
        .select()
        .from(TOP_UP)
        .leftJoin(SIGN_OFF)
        .on(SIGN_OFF.ID.eq(TOP_UP.SIGN_OFF_ID))
        .where(which, standing())
        .orderBy(TOP_UP.ID)
        .fetch(PourRepository::topUp);
  }

  /** How much of an item a tray added to its machine and was not withdrawn. */
  public Volume addedWith(TrayId trayId, ItemId itemId) {
    return context
        .select(DSL.coalesce(DSL.sum(TOP_UP.VOLUME_UL).cast(Long.class), 0L))
        .from(TOP_UP)
        .where(TOP_UP.TRAY_ID.eq(trayId), TOP_UP.ITEM_ID.eq(itemId), standing())
        .fetchSingle(row -> new Volume(row.value1()));
  }

  private static Condition standing() {
    TopUp later = TOP_UP.as("later");
    return TOP_UP
        .WITHDRAWS
        .isNull()
        .andNotExists(DSL.selectOne().from(later).where(later.WITHDRAWS.eq(TOP_UP.ID)));
  }

  /**
   * What was added to units between services and not withdrawn, by unit. What a breakdown or a leak
   * took is left aside: it counts as used without a plan, by what was issued for it ({@link
   * dev.lonja.store.ledger.UnplannedIssues}).
   */
  public Map<UnitId, List<RecordedTopUp>> topUps(UnitScope units) {
    Select<Record1<TrayId>> planned =
        DSL.select(TRAY.ID).from(TRAY).where(TRAY.PURPOSE.in("SERVICE", "TOP_UP"));
    return context
        .selectFrom(TOP_UP)
        .where(units.holds(TOP_UP.UNIT_ID), standing())
        .and(TOP_UP.TRAY_ID.isNull().or(TOP_UP.TRAY_ID.in(planned)))
        .orderBy(TOP_UP.ID)
        .fetchGroups(
            TOP_UP.UNIT_ID,
            row ->
                new RecordedTopUp(
                    row.get(TOP_UP.COMPARTMENT_ID),
                    row.get(TOP_UP.ADDED_ON),
                    new Volume(row.get(TOP_UP.VOLUME_UL))));
  }

  private static StoredTopUp topUp(Record row) {
    return new StoredTopUp(
        row.get(TOP_UP.ID),
        row.get(TOP_UP.COMPARTMENT_ID),
        row.get(TOP_UP.ITEM_ID),
        new Volume(row.get(TOP_UP.VOLUME_UL)),
        row.get(TOP_UP.ADDED_ON),
        Optional.ofNullable(row.get(SIGN_OFF.ID)).map(id -> signOff(row)),
        Optional.ofNullable(row.get(TOP_UP.TRAY_ID)),
        row.get(TOP_UP.NOTE),
        row.get(TOP_UP.ACTOR));
  }

  /** Withdraws a top-up that was noted in error. */
  public void withdrawTopUp(
      UnitId unitId, StoredTopUp wrong, String why, String actor, Instant at) {
    context
        .insertInto(TOP_UP)
        .set(TOP_UP.UNIT_ID, unitId)
        .set(TOP_UP.COMPARTMENT_ID, wrong.compartmentId())
        .set(TOP_UP.ITEM_ID, wrong.itemId())
        .set(TOP_UP.VOLUME_UL, wrong.volume().microlitres())
        .set(TOP_UP.ADDED_ON, wrong.on())
        .set(TOP_UP.TRAY_ID, wrong.trayId().orElse(null))
        .set(TOP_UP.WITHDRAWS, wrong.id())
        .set(TOP_UP.NOTE, why)
        .set(TOP_UP.ACTOR, actor)
        .set(TOP_UP.RECORDED_AT, at)
        .execute();
  }

  /** Withdraws all that was added with a tray. */
  public void withdrawTopUpsOf(TrayId trayId, String why, String actor, Instant at) {
    context
        .insertInto(
            TOP_UP,
            TOP_UP.UNIT_ID,
            TOP_UP.COMPARTMENT_ID,
            TOP_UP.ITEM_ID,
            TOP_UP.VOLUME_UL,
            TOP_UP.ADDED_ON,
            TOP_UP.TRAY_ID,
            TOP_UP.WITHDRAWS,
            TOP_UP.NOTE,
            TOP_UP.ACTOR,
            TOP_UP.RECORDED_AT)
        .select(
            DSL.select(
                    TOP_UP.UNIT_ID,
                    TOP_UP.COMPARTMENT_ID,
                    TOP_UP.ITEM_ID,
                    TOP_UP.VOLUME_UL,
                    TOP_UP.ADDED_ON,
                    TOP_UP.TRAY_ID,
                    TOP_UP.ID,
                    DSL.val(why),
                    DSL.val(actor),
                    DSL.val(at, TOP_UP.RECORDED_AT))
                .from(TOP_UP)
                .where(TOP_UP.TRAY_ID.eq(trayId), standing())
                .orderBy(TOP_UP.ID))
        .execute();
  }

  private static SignOff signOff(Record row) {
    return new SignOff(
        row.get(SIGN_OFF.UNIT_ID),
        row.get(SIGN_OFF.COMPARTMENT_ID),
        row.get(SIGN_OFF.ITEM_ID),
        Optional.ofNullable(row.get(SIGN_OFF.TRAY_ID)),
        row.get(SIGN_OFF.VERDICT),
        row.get(SIGN_OFF.SIGNED_BY),
        row.get(SIGN_OFF.WHY),
        row.get(SIGN_OFF.ACTOR),
        row.get(SIGN_OFF.RECORDED_AT));
  }
}

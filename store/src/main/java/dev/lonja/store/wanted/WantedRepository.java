package dev.lonja.store.wanted;

import static dev.lonja.store.schema.Tables.FINDING;
import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.TRAY;
import static dev.lonja.store.schema.Tables.TRAY_LINE;
import static dev.lonja.store.schema.Tables.UNIT;
import static dev.lonja.store.schema.Tables.WANTED_PART;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.core.wanted.FindingId;
import dev.lonja.core.wanted.WantedPart;
import dev.lonja.core.wanted.WantedPartId;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.ResultQuery;
import org.jooq.impl.DSL;

/**
 * Parts that are wanted by themselves. One is open until a tray's line brings it or somebody drops
 * it; it is open again if that line is struck or its tray put back on the shelves.
 */
public final class WantedRepository {

  private final DSLContext context;

  public WantedRepository(DSLContext context) {
    this.context = context;
  }

  /**
   * A part that is wanted and not stored yet.
   *
   * @param unitId none for what the workshop itself uses
   */
  public record NewWanted(
      Optional<UnitId> unitId,
      ItemId itemId,
      Quantity quantity,
      String place,
      Destination destination,
      Optional<LocalDate> neededOn,
      Why why) {}

  /** Why it is wanted, before it is stored. */
  public sealed interface Why {
    record OfFinding(FindingId id) implements Why {}

    record LeftOut(TrayLine line) implements Why {}

    record Asked(String why) implements Why {}
  }

  public WantedPartId add(NewWanted wanted, String actor, Instant at) {
    var insert =
        context
            .insertInto(WANTED_PART)
            .set(WANTED_PART.UNIT_ID, wanted.unitId().orElse(null))
            .set(WANTED_PART.ITEM_ID, wanted.itemId())
            .set(WANTED_PART.QUANTITY_MICRO, wanted.quantity().millionths())
            .set(WANTED_PART.PLACE, wanted.place())
            .set(WANTED_PART.POSITION_ID, wanted.destination().positionId().orElse(null))
            .set(WANTED_PART.COMPARTMENT_ID, wanted.destination().compartmentId().orElse(null))
            .set(WANTED_PART.NEEDED_ON, wanted.neededOn().orElse(null))
            .set(WANTED_PART.ACTOR, actor)
            .set(WANTED_PART.RECORDED_AT, at);
    if (wanted.why() instanceof Why.OfFinding finding) {
      insert.set(WANTED_PART.FINDING_ID, finding.id());
    } else if (wanted.why() instanceof Why.LeftOut left) {
      insert.set(WANTED_PART.LEFT_OUT_LINE_ID, left.line().id());
      insert.set(WANTED_PART.TASK_ID, left.line().taskId().orElse(null));
    } else if (wanted.why() instanceof Why.Asked asked) {
      insert.set(WANTED_PART.ASKED_WHY, asked.why());
    }
    return insert.returning(WANTED_PART.ID).fetchSingle(WANTED_PART.ID);
  }

  /** Those that no tray brings and nobody dropped, what is needed first in front. */
  public List<WantedPart> open() {
    return parts(isOpen());
  }

  /** One that is open. */
  public Optional<WantedPart> open(WantedPartId id) {
    return parts(isOpen().and(WANTED_PART.ID.eq(id))).stream().findFirst();
  }

  /** Those of a unit that are open. */
  public List<WantedPart> openOf(UnitId unitId) {
    return parts(isOpen().and(WANTED_PART.UNIT_ID.eq(unitId)));
  }

  /** What a tray's lines were left out of, still open. */
  public List<WantedPart> openLeftOutOf(TrayId trayId) {
    return parts(isOpen().and(WANTED_PART.LEFT_OUT_LINE_ID.in(linesOf(trayId))));
  }

  /** By line of a tray, why the wanted part that it brings is wanted. */
  public Map<Long, WantedPart.Cause> broughtOn(TrayId trayId) {
    return rows(WANTED_PART.LINE_ID.in(linesOf(trayId)))
        .fetchMap(WANTED_PART.LINE_ID, WantedRepository::cause);
  }

  /** True if a line brings a wanted part. */
  public boolean isBrought(long lineId) {
    return context.fetchExists(WANTED_PART, WANTED_PART.LINE_ID.eq(lineId));
  }

  /** A line brings it. */
  public void bring(WantedPartId id, long lineId) {
    context
        .update(WANTED_PART)
        .set(WANTED_PART.LINE_ID, lineId)
        .where(WANTED_PART.ID.eq(id), isOpen())
        .execute();
  }

  /** Nobody wants it any more; false if it is not open. */
  public boolean drop(WantedPartId id, String why) {
    return context
            .update(WANTED_PART)
            .set(WANTED_PART.DROPPED_WHY, why)
            .where(WANTED_PART.ID.eq(id), isOpen())
            .execute()
        == 1;
  }

  /** What a tray's lines were to bring is open again. */
  public void openAgainOf(TrayId trayId) {
    context
        .update(WANTED_PART)
        .setNull(WANTED_PART.LINE_ID)
        .where(WANTED_PART.LINE_ID.in(linesOf(trayId)))
        .execute();
  }

  /** What a line was to bring is open again. */
  public void openAgain(long lineId) {
    context
        .update(WANTED_PART)
        .setNull(WANTED_PART.LINE_ID)
        .where(WANTED_PART.LINE_ID.eq(lineId))
        .execute();
  }

  /** The number of a tray that brings what another went out without, if any does. */
  public Optional<String> broughtBy(TrayId trayId) {
    return context
        .select(TRAY.NUMBER)
        .from(WANTED_PART)
        .join(TRAY_LINE)
        .on(TRAY_LINE.ID.eq(WANTED_PART.LINE_ID))
        .join(TRAY)
        .on(TRAY.ID.eq(TRAY_LINE.TRAY_ID))
        .where(WANTED_PART.LEFT_OUT_LINE_ID.in(linesOf(trayId)))
        .limit(1)
        .fetchOptional(TRAY.NUMBER);
  }

  /** Strikes what was wanted because a tray went out without it, since it did not go out. */
  public void strikeLeftOutOf(TrayId trayId) {
    context
        .deleteFrom(WANTED_PART)
        .where(WANTED_PART.LEFT_OUT_LINE_ID.in(linesOf(trayId)))
        .execute();
  }

  private static Condition isOpen() {
    return WANTED_PART.LINE_ID.isNull().and(WANTED_PART.DROPPED_WHY.isNull());
  }

  private static org.jooq.Select<org.jooq.Record1<Long>> linesOf(TrayId trayId) {
    return DSL.select(TRAY_LINE.ID).from(TRAY_LINE).where(TRAY_LINE.TRAY_ID.eq(trayId));
  }

  private List<WantedPart> parts(Condition which) {
    return rows(which).fetch(WantedRepository::part);
  }

  private ResultQuery<? extends Record> rows(Condition which) {
    return context
        .select(WANTED_PART.fields())
        .select(UNIT.CODE, ITEM.MEASURE, FINDING.WORDS, TRAY.NUMBER, TRAY_LINE.LEFT_OUT_WHY)
        .from(WANTED_PART)
        .join(ITEM)
        .on(ITEM.ID.eq(WANTED_PART.ITEM_ID))
        .leftJoin(UNIT)
        .on(UNIT.ID.eq(WANTED_PART.UNIT_ID))
        .leftJoin(FINDING)
        .on(FINDING.ID.eq(WANTED_PART.FINDING_ID))
        .leftJoin(TRAY_LINE)
        .on(TRAY_LINE.ID.eq(WANTED_PART.LEFT_OUT_LINE_ID))
        .leftJoin(TRAY)
        .on(TRAY.ID.eq(TRAY_LINE.TRAY_ID))
        .where(which)
        .orderBy(DSL.coalesce(WANTED_PART.NEEDED_ON, LocalDate.EPOCH), WANTED_PART.ID);
  }

  private static WantedPart part(Record row) {
    return new WantedPart(
        row.get(WANTED_PART.ID),
        Optional.ofNullable(row.get(WANTED_PART.UNIT_ID))
            .map(id -> new WantedPart.ForUnit(id, row.get(UNIT.CODE))),
        row.get(WANTED_PART.ITEM_ID),
        new Quantity(Measure.ofSymbol(row.get(ITEM.MEASURE)), row.get(WANTED_PART.QUANTITY_MICRO)),
        row.get(WANTED_PART.PLACE),
        new Destination(
            Optional.ofNullable(row.get(WANTED_PART.POSITION_ID)),
            Optional.ofNullable(row.get(WANTED_PART.COMPARTMENT_ID))),
        Optional.ofNullable(row.get(WANTED_PART.NEEDED_ON)),
        cause(row));
  }

  private static WantedPart.Cause cause(Record row) {
    if (row.get(WANTED_PART.FINDING_ID) != null) {
      return new WantedPart.Cause.OfFinding(
          row.get(WANTED_PART.FINDING_ID), row.get(FINDING.WORDS));
    }
    if (row.get(WANTED_PART.LEFT_OUT_LINE_ID) != null) {
      return new WantedPart.Cause.LeftOut(
          row.get(TRAY.NUMBER),
          Optional.ofNullable(row.get(WANTED_PART.TASK_ID)),
          row.get(TRAY_LINE.LEFT_OUT_WHY));
    }
    return new WantedPart.Cause.Asked(row.get(WANTED_PART.ACTOR), row.get(WANTED_PART.ASKED_WHY));
  }
}

package dev.lonja.store.tray;

import static dev.lonja.store.schema.Tables.BIN;
import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.TRAY;
import static dev.lonja.store.schema.Tables.TRAY_LINE;
import static dev.lonja.store.schema.Tables.TRAY_TASK;
import static dev.lonja.store.schema.Tables.UNIT;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.store.query.FixedQuery;
import dev.lonja.store.query.NextNumber;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Record;

/** Trays; every change checks the version it was based on. */
public final class TrayRepository {

  private static final TrayQueries BY_ID =
      TrayQueries.of(() -> TRAY.ID.eq(FixedQuery.given(TRAY.ID)));
  private static final TrayQueries BY_NUMBER =
      TrayQueries.of(() -> TRAY.NUMBER.equalIgnoreCase(FixedQuery.given(TRAY.NUMBER)));
  private static final TrayQueries OPEN =
      TrayQueries.of(() -> TRAY.STATE.eq(Tray.State.OPEN.name()));
  private static final TrayQueries HANDED_OVER_SINCE =
      TrayQueries.of(
          () ->
              TRAY.STATE
                  .eq(Tray.State.HANDED_OVER.name())
                  .and(TRAY.HANDED_OVER_ON.ge(FixedQuery.given(TRAY.HANDED_OVER_ON))));

  private final DSLContext context;

  public TrayRepository(DSLContext context) {
    this.context = context;
  }

  public Optional<Tray> byId(TrayId id) {
    return trays(BY_ID, id).stream().findFirst();
  }

  public Optional<Tray> byNumber(String number) {
    return trays(BY_NUMBER, number).stream().findFirst();
  }

  /** Open trays in order of day and number. */
  public List<Tray> open() {
    return trays(OPEN);
  }

  /** Trays handed over on or after {@code day}. */
  public List<Tray> handedOverSince(LocalDate day) {
    return trays(HANDED_OVER_SINCE, day);
  }

  /** Adds an empty open tray with the next number. */
  public TrayId add(UnitId unitId, String title, LocalDate plannedOn, List<TaskId> taskIds) {
    TrayId id = NextNumber.of(context, TRAY, TRAY.ID);
    context
        .insertInto(TRAY)
        .set(TRAY.ID, id)
        .set(TRAY.NUMBER, String.format("T-%04d", id.value()))
        .set(TRAY.UNIT_ID, unitId)
        .set(TRAY.TITLE, title)
        .set(TRAY.PLANNED_ON, plannedOn)
        .set(TRAY.STATE, Tray.State.OPEN.name())
        .execute();
    for (TaskId taskId : taskIds) {
      context
          .insertInto(TRAY_TASK)
          .set(TRAY_TASK.TRAY_ID, id)
          .set(TRAY_TASK.TASK_ID, taskId)
          .execute();
    }
    return id;
  }

  /**
   * Adds a line that is not laid yet.
   *
   * @param destination the position or compartment it is for
   */
  public long addLine(
      TrayId trayId,
      ItemId itemId,
      String place,
      LineReason reason,
      Quantity wanted,
      Destination destination) {
    return context
        .insertInto(TRAY_LINE)
        .set(TRAY_LINE.TRAY_ID, trayId)
        .set(TRAY_LINE.ITEM_ID, itemId)
        .set(TRAY_LINE.PLACE, place)
        .set(LineReasons.columns(reason))
        .set(TRAY_LINE.WANTED_MICRO, wanted.millionths())
        .set(TRAY_LINE.POSITION_ID, destination.positionId().orElse(null))
        .set(TRAY_LINE.COMPARTMENT_ID, destination.compartmentId().orElse(null))
        .returning(TRAY_LINE.ID)
        .fetchSingle(TRAY_LINE.ID);
  }

  /** Puts another item on a line in place of what was asked for; nothing of it is laid yet. */
  public void substitute(long lineId, ItemId itemId, Optional<TrayLine.Substitution> substitution) {
    context
        .update(TRAY_LINE)
        .set(TRAY_LINE.ITEM_ID, itemId)
        .set(TRAY_LINE.LAID_MICRO, 0L)
        .setNull(TRAY_LINE.SIGN_OFF_ID)
        .set(
            TRAY_LINE.INSTEAD_OF_ID,
            substitution.map(TrayLine.Substitution::originalItemId).orElse(null))
        .set(TRAY_LINE.INSTEAD_WHY, substitution.map(TrayLine.Substitution::why).orElse(""))
        .where(TRAY_LINE.ID.eq(lineId))
        .execute();
  }

  /** The signature that a line stands on. */
  public Optional<Long> signOffOf(long lineId) {
    return context
        .select(TRAY_LINE.SIGN_OFF_ID)
        .from(TRAY_LINE)
        .where(TRAY_LINE.ID.eq(lineId))
        .fetchOptional(TRAY_LINE.SIGN_OFF_ID);
  }

  /** Notes the signature that a line stands on. */
  public void setSignOff(long lineId, long signOffId) {
    context
        .update(TRAY_LINE)
        .set(TRAY_LINE.SIGN_OFF_ID, signOffId)
        .where(TRAY_LINE.ID.eq(lineId))
        .execute();
  }

  public void setLaid(long lineId, Quantity laid) {
    context
        .update(TRAY_LINE)
        .set(TRAY_LINE.LAID_MICRO, laid.millionths())
        .where(TRAY_LINE.ID.eq(lineId))
        .execute();
  }

  /** Asks for more or less on a line. */
  public void setWanted(long lineId, Quantity wanted) {
    context
        .update(TRAY_LINE)
        .set(TRAY_LINE.WANTED_MICRO, wanted.millionths())
        .where(TRAY_LINE.ID.eq(lineId))
        .execute();
  }

  /** Asks for so much less on a line, and lays no more than that; down to none it is struck. */
  public void lessen(TrayLine line, Quantity by) {
    Quantity left = line.wanted().minus(by);
    if (left.isPositive()) {
      setLaid(line.id(), line.laid().min(left));
      setWanted(line.id(), left);
    } else {
      removeLine(line.id());
    }
  }

  /** Strikes a line that is not laid. */
  public void removeLine(long lineId) {
    context.deleteFrom(TRAY_LINE).where(TRAY_LINE.ID.eq(lineId)).execute();
  }

  /** Takes everything off the tray; its lines stay. */
  public void unlayAll(TrayId trayId) {
    context
        .update(TRAY_LINE)
        .set(TRAY_LINE.LAID_MICRO, 0L)
        .where(TRAY_LINE.TRAY_ID.eq(trayId))
        .execute();
  }

  /** Counts a change of the tray's lines. */
  public boolean touch(TrayId trayId, long readVersion) {
    return context
            .update(TRAY)
            .set(TRAY.VERSION, readVersion + 1)
            .where(TRAY.ID.eq(trayId), TRAY.VERSION.eq(readVersion))
            .execute()
        == 1;
  }

  public boolean handOver(TrayId trayId, long readVersion, String mechanic, LocalDate day) {
    return setState(
        trayId, readVersion, Tray.State.HANDED_OVER, Optional.of(mechanic), Optional.of(day));
  }

  public boolean reopen(TrayId trayId, long readVersion) {
    return setState(trayId, readVersion, Tray.State.OPEN, Optional.empty(), Optional.empty());
  }

  public boolean clear(TrayId trayId, long readVersion) {
    return setState(trayId, readVersion, Tray.State.CLEARED, Optional.empty(), Optional.empty());
  }

  private boolean setState(
      TrayId trayId,
      long readVersion,
      Tray.State state,
      Optional<String> mechanic,
      Optional<LocalDate> day) {
    return context
            .update(TRAY)
            .set(TRAY.STATE, state.name())
            .set(TRAY.MECHANIC, mechanic.orElse(null))
            .set(TRAY.HANDED_OVER_ON, day.orElse(null))
            .set(TRAY.VERSION, readVersion + 1)
            .where(TRAY.ID.eq(trayId), TRAY.VERSION.eq(readVersion))
            .execute()
        == 1;
  }

  private List<Tray> trays(TrayQueries queries, Object... given) {
    Map<TrayId, List<TaskId>> tasks =
        queries.tasks().with(context, given).fetchGroups(TRAY_TASK.TRAY_ID, TRAY_TASK.TASK_ID);
    Map<TrayId, List<TrayLine>> lines =
        queries.lines().with(context, given).fetchGroups(TRAY_LINE.TRAY_ID, TrayRepository::line);
    return queries
        .trays()
        .with(context, given)
        .fetch(
            row ->
                tray(
                    row,
                    tasks.getOrDefault(row.get(TRAY.ID), List.of()),
                    lines.getOrDefault(row.get(TRAY.ID), List.of())));
  }

  private static Tray tray(Record row, List<TaskId> taskIds, List<TrayLine> lines) {
    return new Tray(
        row.get(TRAY.ID),
        row.get(TRAY.NUMBER),
        row.get(TRAY.UNIT_ID),
        row.get(UNIT.CODE),
        row.get(TRAY.TITLE),
        row.get(TRAY.PLANNED_ON),
        Tray.State.valueOf(row.get(TRAY.STATE)),
        Optional.ofNullable(row.get(TRAY.MECHANIC)),
        Optional.ofNullable(row.get(TRAY.HANDED_OVER_ON)),
        row.get(TRAY.VERSION),
        taskIds,
        lines);
  }

  private static TrayLine line(Record row) {
    Measure measure = Measure.ofSymbol(row.get(ITEM.MEASURE));
    return new TrayLine(
        row.get(TRAY_LINE.ID),
        row.get(TRAY_LINE.ITEM_ID),
        row.get(TRAY_LINE.PLACE),
        LineReasons.of(row),
        Math.toIntExact(row.get(BIN.WALK_ORDER)),
        new Quantity(measure, row.get(TRAY_LINE.WANTED_MICRO)),
        new Quantity(measure, row.get(TRAY_LINE.LAID_MICRO)),
        new Destination(
            Optional.ofNullable(row.get(TRAY_LINE.POSITION_ID)),
            Optional.ofNullable(row.get(TRAY_LINE.COMPARTMENT_ID))),
        Optional.ofNullable(row.get(TRAY_LINE.INSTEAD_OF_ID))
            .map(original -> new TrayLine.Substitution(original, row.get(TRAY_LINE.INSTEAD_WHY))));
  }
}

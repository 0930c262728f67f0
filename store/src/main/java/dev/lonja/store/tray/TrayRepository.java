package dev.lonja.store.tray;

import static dev.lonja.store.schema.Tables.BIN;
import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.TRAY;
import static dev.lonja.store.schema.Tables.TRAY_LINE;
import static dev.lonja.store.schema.Tables.TRAY_TASK;
import static dev.lonja.store.schema.Tables.UNIT;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.InHand;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.TaskOutcome;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.core.tray.TrayPurpose;
import dev.lonja.store.query.FixedQuery;
import dev.lonja.store.query.NextNumber;
import dev.lonja.store.query.UnitScope;
import dev.lonja.store.wanted.WantedRepository;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.impl.DSL;

/** Trays; every change checks the version it was based on. */
public final class TrayRepository {

  private static final TrayQueries BY_ID =
      TrayQueries.of(() -> TRAY.ID.eq(FixedQuery.given(TRAY.ID)));
  private static final TrayQueries BY_NUMBER =
      TrayQueries.of(() -> TRAY.NUMBER.equalIgnoreCase(FixedQuery.given(TRAY.NUMBER)));
  private static final TrayQueries OPEN =
      TrayQueries.of(() -> TRAY.STATE.eq(Tray.State.OPEN.name()));
  private static final TrayQueries STANDING =
      TrayQueries.of(() -> TRAY.STATE.in(Tray.State.OPEN.name(), Tray.State.HANDED_OVER.name()));
  private static final TrayQueries OUT =
      TrayQueries.of(() -> TRAY.STATE.eq(Tray.State.HANDED_OVER.name()));
  private static final TrayQueries BACK_OF =
      TrayQueries.of(
          () ->
              TRAY.STATE
                  .eq(Tray.State.BACK.name())
                  .and(TRAY.UNIT_ID.eq(FixedQuery.given(TRAY.UNIT_ID))));
  private static final TrayQueries HANDED_OVER_SINCE =
      TrayQueries.of(
          () ->
              TRAY.STATE
                  .in(Tray.State.HANDED_OVER.name(), Tray.State.BACK.name())
                  .and(TRAY.HANDED_OVER_ON.ge(FixedQuery.given(TRAY.HANDED_OVER_ON))));

  private static final String DONE = "DONE";
  private static final String NOT_DONE = "NOT_DONE";

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

  /** Trays that stand for their tasks: open, or handed over and not back. */
  public List<Tray> standing() {
    return trays(STANDING);
  }

  /** Trays that are handed over and not back, in order of day and number. */
  public List<Tray> out() {
    return trays(OUT);
  }

  /** By unit, what trays stand for: those that are open, and those that are out. */
  public Map<UnitId, List<InHand>> inHand(UnitScope units) {
    Map<UnitId, Map<TrayId, List<Record>>> rows = new HashMap<>();
    context
        .select(TRAY.ID, TRAY.UNIT_ID, TRAY.PLANNED_ON, TRAY.STATE, TRAY_TASK.TASK_ID)
        .from(TRAY)
        .join(TRAY_TASK)
        .on(TRAY_TASK.TRAY_ID.eq(TRAY.ID))
        .where(
            units.holds(TRAY.UNIT_ID),
            TRAY.STATE.in(Tray.State.OPEN.name(), Tray.State.HANDED_OVER.name()))
        .orderBy(TRAY.ID)
        .forEach(
            row ->
                rows.computeIfAbsent(row.get(TRAY.UNIT_ID), id -> new LinkedHashMap<>())
                    .computeIfAbsent(row.get(TRAY.ID), id -> new ArrayList<>())
                    .add(row));
    Map<UnitId, List<InHand>> inHand = new HashMap<>();
    rows.forEach(
        (unit, trays) ->
            inHand.put(unit, trays.values().stream().map(TrayRepository::inHand).toList()));
    return inHand;
  }

  private static InHand inHand(List<Record> tasks) {
    Record first = tasks.get(0);
    return new InHand(
        tasks.stream().map(row -> row.get(TRAY_TASK.TASK_ID)).collect(Collectors.toSet()),
        first.get(TRAY.PLANNED_ON),
        first.get(TRAY.STATE).equals(Tray.State.HANDED_OVER.name()));
  }

  /** Trays of a unit whose jobs are back, in order of day and number. */
  public List<Tray> backOf(UnitId unitId) {
    return trays(BACK_OF, unitId);
  }

  /** Trays handed over on or after {@code day}, back or not. */
  public List<Tray> handedOverSince(LocalDate day) {
    return trays(HANDED_OVER_SINCE, day);
  }

  /** Adds an empty open tray for a service, with the next number. */
  public TrayId add(UnitId unitId, String title, LocalDate plannedOn, List<TaskId> taskIds) {
    TrayId id = add(Optional.of(unitId), TrayPurpose.SERVICE, title, plannedOn);
    new TrayTaskRepository(context).add(id, taskIds);
    return id;
  }

  /**
   * Adds an empty open tray that serves no task, with the next number. It is laid where its machine
   * is served from; one for nobody in the main store.
   *
   * @param unitId none for the workshop's own supplies
   */
  public TrayId add(
      Optional<UnitId> unitId, TrayPurpose purpose, String title, LocalDate plannedOn) {
    TrayId id = NextNumber.of(context, TRAY, TRAY.ID);
    context
        .insertInto(TRAY)
        .set(TRAY.ID, id)
        .set(TRAY.NUMBER, String.format("T-%04d", id.value()))
        .set(TRAY.UNIT_ID, unitId.orElse(null))
        .set(
            TRAY.SATELLITE_ID,
            DSL.field(
                DSL.select(UNIT.SATELLITE_ID).from(UNIT).where(UNIT.ID.eq(unitId.orElse(null)))))
        .set(TRAY.PURPOSE, purpose.name())
        .set(TRAY.TITLE, title)
        .set(TRAY.PLANNED_ON, plannedOn)
        .set(TRAY.STATE, Tray.State.OPEN.name())
        .execute();
    return id;
  }

  /** Says where a tray is laid. */
  public void setPlace(TrayId trayId, Place place) {
    context
        .update(TRAY)
        .set(TRAY.SATELLITE_ID, place.satellite().orElse(null))
        .where(TRAY.ID.eq(trayId))
        .execute();
  }

  /** Puts a tray on another day. */
  public void setDay(TrayId trayId, LocalDate day) {
    context.update(TRAY).set(TRAY.PLANNED_ON, day).where(TRAY.ID.eq(trayId)).execute();
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

  /** Notes that a job is back; false if the tray has changed since it was read. */
  public boolean takeBack(TrayId trayId, long readVersion, LocalDate day) {
    return context
            .update(TRAY)
            .set(TRAY.STATE, Tray.State.BACK.name())
            .set(TRAY.BACK_ON, day)
            .set(TRAY.VERSION, readVersion + 1)
            .where(TRAY.ID.eq(trayId), TRAY.VERSION.eq(readVersion))
            .execute()
        == 1;
  }

  /** The job is out again, and nothing is noted of its tasks. */
  public boolean outAgain(TrayId trayId, long readVersion) {
    context
        .update(TRAY_TASK)
        .setNull(TRAY_TASK.OUTCOME)
        .set(TRAY_TASK.WHY, "")
        .setNull(TRAY_TASK.AGAIN_ON)
        .where(TRAY_TASK.TRAY_ID.eq(trayId))
        .execute();
    return context
            .update(TRAY)
            .set(TRAY.STATE, Tray.State.HANDED_OVER.name())
            .setNull(TRAY.BACK_ON)
            .set(TRAY.VERSION, readVersion + 1)
            .where(TRAY.ID.eq(trayId), TRAY.VERSION.eq(readVersion))
            .execute()
        == 1;
  }

  /** Notes what became of a task. */
  public void setOutcome(TrayId trayId, TaskId taskId, TaskOutcome outcome) {
    Optional<TaskOutcome.NotDone> notDone =
        Optional.of(outcome)
            .filter(TaskOutcome.NotDone.class::isInstance)
            .map(TaskOutcome.NotDone.class::cast);
    context
        .update(TRAY_TASK)
        .set(TRAY_TASK.OUTCOME, notDone.isPresent() ? NOT_DONE : DONE)
        .set(TRAY_TASK.WHY, notDone.map(TaskOutcome.NotDone::why).orElse(""))
        .set(TRAY_TASK.AGAIN_ON, notDone.flatMap(TaskOutcome.NotDone::againOn).orElse(null))
        .where(TRAY_TASK.TRAY_ID.eq(trayId), TRAY_TASK.TASK_ID.eq(taskId))
        .execute();
  }

  public boolean reopen(TrayId trayId, long readVersion) {
    return setState(trayId, readVersion, Tray.State.OPEN, Optional.empty(), Optional.empty());
  }

  /** Puts a tray away; the wanted parts that it was to bring are open again. */
  public boolean clear(TrayId trayId, long readVersion) {
    new WantedRepository(context).openAgainOf(trayId);
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
            .setNull(TRAY.BACK_ON)
            .set(TRAY.VERSION, readVersion + 1)
            .where(TRAY.ID.eq(trayId), TRAY.VERSION.eq(readVersion))
            .execute()
        == 1;
  }

  private List<Tray> trays(TrayQueries queries, Object... given) {
    Map<TrayId, List<Tray.Served>> tasks =
        queries.tasks().with(context, given).fetchGroups(TRAY_TASK.TRAY_ID, TrayRepository::served);
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

  private static Tray.Served served(Record row) {
    return new Tray.Served(
        row.get(TRAY_TASK.TASK_ID),
        Optional.ofNullable(row.get(TRAY_TASK.OUTCOME))
            .map(
                outcome ->
                    outcome.equals(DONE)
                        ? new TaskOutcome.Done(Optional.empty())
                        : new TaskOutcome.NotDone(
                            row.get(TRAY_TASK.WHY),
                            Optional.ofNullable(row.get(TRAY_TASK.AGAIN_ON)))));
  }

  private static Tray tray(Record row, List<Tray.Served> tasks, List<TrayLine> lines) {
    return new Tray(
        row.get(TRAY.ID),
        row.get(TRAY.NUMBER),
        Optional.ofNullable(row.get(TRAY.UNIT_ID))
            .map(id -> new Tray.ForUnit(id, row.get(UNIT.CODE))),
        Place.of(row.get(TRAY.SATELLITE_ID)),
        TrayPurpose.valueOf(row.get(TRAY.PURPOSE)),
        row.get(TRAY.TITLE),
        row.get(TRAY.PLANNED_ON),
        Tray.State.valueOf(row.get(TRAY.STATE)),
        Optional.ofNullable(row.get(TRAY.MECHANIC)),
        Optional.ofNullable(row.get(TRAY.HANDED_OVER_ON)),
        Optional.ofNullable(row.get(TRAY.BACK_ON)),
        row.get(TRAY.VERSION),
        tasks,
        lines);
  }

  private static TrayLine line(Record row) {
    Measure measure = Measure.ofSymbol(row.get(ITEM.MEASURE));
    return new TrayLine(
        row.get(TRAY_LINE.ID),
        new StockKey(
            row.get(TRAY_LINE.ITEM_ID), LotCondition.valueOf(row.get(TRAY_LINE.LOT_CONDITION))),
        row.get(TRAY_LINE.PLACE),
        LineReasons.of(row),
        Math.toIntExact(row.get(BIN.WALK_ORDER)),
        new Quantity(measure, row.get(TRAY_LINE.WANTED_MICRO)),
        new Quantity(measure, row.get(TRAY_LINE.LAID_MICRO)),
        new Destination(
            Optional.ofNullable(row.get(TRAY_LINE.POSITION_ID)),
            Optional.ofNullable(row.get(TRAY_LINE.COMPARTMENT_ID))),
        Optional.ofNullable(row.get(TRAY_LINE.INSTEAD_OF_ID))
            .map(original -> new TrayLine.Substitution(original, row.get(TRAY_LINE.INSTEAD_WHY))),
        Optional.ofNullable(row.get(TRAY_LINE.TASK_ID)),
        Optional.ofNullable(row.get(TRAY_LINE.LEFT_OUT_WHY)),
        LineWays.of(row));
  }
}

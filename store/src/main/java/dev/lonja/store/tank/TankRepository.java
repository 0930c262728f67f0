package dev.lonja.store.tank;

import static dev.lonja.store.schema.Tables.DELIVERY_TEMPERATURE;
import static dev.lonja.store.schema.Tables.METERED_POUR;
import static dev.lonja.store.schema.Tables.MOVEMENT;
import static dev.lonja.store.schema.Tables.STOCK;
import static dev.lonja.store.schema.Tables.TANK;
import static dev.lonja.store.schema.Tables.TANK_CLEANING;
import static dev.lonja.store.schema.Tables.TANK_DIP;

import dev.lonja.core.ledger.MovementKind;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.tank.Dip;
import dev.lonja.core.tank.DipId;
import dev.lonja.core.tank.Flow;
import dev.lonja.core.tank.MeteredPour;
import dev.lonja.core.tank.NewTank;
import dev.lonja.core.tank.Tank;
import dev.lonja.core.tank.TankId;
import dev.lonja.core.tank.TankShape;
import dev.lonja.store.schema.tables.Movement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.TableField;
import org.jooq.impl.DSL;

/** Tanks, what was read off them, and what flowed in and out. */
public final class TankRepository {

  /** By which nothing flows: the book is put right, a lot is taken for another. */
  private static final List<String> STILL =
      Stream.of(
              MovementKind.ADJUSTMENT,
              MovementKind.COUNT,
              MovementKind.REVALUED,
              MovementKind.REGRADED,
              MovementKind.OPENED,
              MovementKind.CORRECTION)
          .map(Enum::name)
          .toList();

  private static final List<TableField<?, Long>> SIDES =
      List.of(TANK.DIAMETER_UM, TANK.LENGTH_UM, TANK.WIDTH_UM, TANK.HEIGHT_UM);

  private final DSLContext context;

  public TankRepository(DSLContext context) {
    this.context = context;
  }

  /** By name. */
  public List<Tank> all() {
    return where(DSL.noCondition());
  }

  public Optional<Tank> byId(TankId id) {
    return where(TANK.ID.eq(id)).stream().findFirst();
  }

  /** The tank that stands at a bin. */
  public Optional<Tank> at(BinId bin) {
    return where(TANK.BIN_ID.eq(bin)).stream().findFirst();
  }

  private List<Tank> where(Condition which) {
    return context
        .select(TANK.fields())
        .from(TANK)
        .where(which)
        .orderBy(TANK.NAME)
        .fetch(TankRepository::tank);
  }

  private static Tank tank(Record row) {
    return new Tank(
        row.get(TANK.ID),
        row.get(TANK.NAME),
        row.get(TANK.BIN_ID),
        row.get(TANK.ITEM_ID),
        shape(row),
        row.get(TANK.SAFE_FILL_PERCENT).intValue(),
        new Length(row.get(TANK.DIP_ERROR_UM)),
        row.get(TANK.GAUGED) == 1,
        row.get(TANK.VERSION));
  }

  private static TankShape shape(Record row) {
    TankShape.Kind kind = TankShape.Kind.valueOf(row.get(TANK.SHAPE));
    return switch (kind) {
      case UPRIGHT -> new TankShape.Upright(side(row, TANK.DIAMETER_UM), side(row, TANK.HEIGHT_UM));
      case BOX ->
          new TankShape.Box(
              side(row, TANK.LENGTH_UM), side(row, TANK.WIDTH_UM), side(row, TANK.HEIGHT_UM));
      case LYING, LYING_WITH_HEADS ->
          new TankShape.Lying(
              side(row, TANK.LENGTH_UM),
              side(row, TANK.DIAMETER_UM),
              kind == TankShape.Kind.LYING_WITH_HEADS);
      case TABLE -> TankShape.Table.of(row.get(TANK.STRAPS));
    };
  }

  private static Length side(Record row, TableField<?, Long> field) {
    return new Length(row.get(field));
  }

  /** Keeps a new one. */
  public TankId add(NewTank tank) {
    return context.insertInto(TANK).set(fields(tank)).returning(TANK.ID).fetchSingle(TANK.ID);
  }

  /** Changes one; false if somebody changed it since {@code version}. */
  public boolean change(TankId id, NewTank tank, long version) {
    return context
            .update(TANK)
            .set(fields(tank))
            .set(TANK.VERSION, version + 1)
            .where(TANK.ID.eq(id), TANK.VERSION.eq(version))
            .execute()
        == 1;
  }

  private static Map<Field<?>, Object> fields(NewTank tank) {
    Map<Field<?>, Object> fields = new LinkedHashMap<>();
    fields.put(TANK.NAME, tank.name());
    fields.put(TANK.BIN_ID, tank.binId());
    fields.put(TANK.ITEM_ID, tank.itemId());
    fields.put(TANK.SAFE_FILL_PERCENT, (long) tank.safeFillPercent());
    fields.put(TANK.DIP_ERROR_UM, tank.dipError().micrometres());
    fields.put(TANK.GAUGED, tank.gauged() ? 1L : 0L);
    fields.put(TANK.SHAPE, tank.shape().kind().name());
    SIDES.forEach(side -> fields.put(side, null));
    fields.put(TANK.STRAPS, null);
    if (tank.shape() instanceof TankShape.Table table) {
      fields.put(TANK.STRAPS, table.written());
    }
    sides(tank.shape()).forEach((side, length) -> fields.put(side, length.micrometres()));
    return fields;
  }

  private static Map<TableField<?, Long>, Length> sides(TankShape shape) {
    if (shape instanceof TankShape.Upright upright) {
      return Map.of(TANK.DIAMETER_UM, upright.diameter(), TANK.HEIGHT_UM, upright.height());
    }
    if (shape instanceof TankShape.Box box) {
      return Map.of(
          TANK.LENGTH_UM, box.length(), TANK.WIDTH_UM, box.width(), TANK.HEIGHT_UM, box.height());
    }
    if (shape instanceof TankShape.Lying lying) {
      return Map.of(TANK.DIAMETER_UM, lying.diameter(), TANK.LENGTH_UM, lying.length());
    }
    return Map.of();
  }

  /** The dips of tanks that count, since each was cleaned last and since a time, oldest first. */
  public Map<TankId, List<Dip>> dips(Collection<TankId> tanks, Instant since) {
    return context
        .select(TANK_DIP.fields())
        .from(TANK_DIP)
        .where(
            TANK_DIP.TANK_ID.in(tanks),
            TANK_DIP.WITHDRAWN_WHY.isNull(),
            TANK_DIP.DIPPED_AT.ge(since),
            sinceCleaned(TANK_DIP.TANK_ID, TANK_DIP.DIPPED_AT))
        .orderBy(TANK_DIP.DIPPED_AT, TANK_DIP.ID)
        .fetchGroups(TANK_DIP.TANK_ID, TankRepository::dip);
  }

  /** What was before a tank was last cleaned was of something else, or of other dregs. */
  private static Condition sinceCleaned(Field<TankId> tank, Field<Instant> at) {
    return DSL.notExists(
        DSL.selectOne()
            .from(TANK_CLEANING)
            .where(TANK_CLEANING.TANK_ID.eq(tank), TANK_CLEANING.RECORDED_AT.ge(at)));
  }

  private static Dip dip(Record row) {
    return new Dip(
        row.get(TANK_DIP.ID),
        row.get(TANK_DIP.DIPPED_AT),
        new Length(row.get(TANK_DIP.HEIGHT_UM)),
        Optional.ofNullable(row.get(TANK_DIP.TEMPERATURE_TENTHS))
            .map(tenths -> new Temperature(tenths.intValue())),
        row.get(TANK_DIP.BY_GAUGE) == 1,
        row.get(TANK_DIP.AGREED_WHY) != null);
  }

  /** Notes a dip. */
  public DipId addDip(
      TankId tank,
      Instant at,
      Length height,
      Optional<Temperature> temperature,
      boolean byGauge,
      Noted noted) {
    return context
        .insertInto(TANK_DIP)
        .set(TANK_DIP.TANK_ID, tank)
        .set(TANK_DIP.DIPPED_AT, at)
        .set(TANK_DIP.HEIGHT_UM, height.micrometres())
        .set(
            TANK_DIP.TEMPERATURE_TENTHS,
            temperature.map(warmth -> (long) warmth.tenthsCelsius()).orElse(null))
        .set(TANK_DIP.BY_GAUGE, byGauge ? 1L : 0L)
        .set(TANK_DIP.ACTOR, noted.actor())
        .set(TANK_DIP.RECORDED_AT, noted.at())
        .returning(TANK_DIP.ID)
        .fetchSingle(TANK_DIP.ID);
  }

  /** How warm a delivery was, as its note says. */
  public void delivered(long movement, Temperature warmth) {
    context
        .insertInto(DELIVERY_TEMPERATURE)
        .set(DELIVERY_TEMPERATURE.MOVEMENT_ID, movement)
        .set(DELIVERY_TEMPERATURE.TEMPERATURE_TENTHS, (long) warmth.tenthsCelsius())
        .execute();
  }

  /** Who noted something, and when. */
  public record Noted(String actor, Instant at) {}

  /** The difference to the book was closed at a dip. */
  public void agree(DipId dip, String why) {
    context.update(TANK_DIP).set(TANK_DIP.AGREED_WHY, why).where(TANK_DIP.ID.eq(dip)).execute();
  }

  /** A dip counts no more. */
  public void withdraw(DipId dip, String why) {
    context.update(TANK_DIP).set(TANK_DIP.WITHDRAWN_WHY, why).where(TANK_DIP.ID.eq(dip)).execute();
  }

  /** A tank was emptied and cleaned. */
  public void clean(Tank tank, String note, Noted noted) {
    context
        .insertInto(TANK_CLEANING)
        .set(TANK_CLEANING.TANK_ID, tank.id())
        .set(TANK_CLEANING.HELD_ITEM_ID, tank.itemId())
        .set(TANK_CLEANING.NOTE, note)
        .set(TANK_CLEANING.ACTOR, noted.actor())
        .set(TANK_CLEANING.RECORDED_AT, noted.at())
        .execute();
  }

  /** When it was cleaned last; empty if never. */
  public Optional<Instant> lastCleaned(TankId tank) {
    return context
        .select(DSL.max(TANK_CLEANING.RECORDED_AT).as("last"))
        .from(TANK_CLEANING)
        .where(TANK_CLEANING.TANK_ID.eq(tank))
        .fetchOptional(row -> row.get("last", Instant.class));
  }

  /** Whether it was cleaned since anything last moved in it. */
  public boolean isClean(Tank tank) {
    return !context.fetchExists(
        context
            .selectOne()
            .from(MOVEMENT)
            .where(MOVEMENT.BIN_ID.eq(tank.binId()), sinceCleanedAt(tank.id())));
  }

  private static Condition sinceCleanedAt(TankId tank) {
    return DSL.notExists(
        DSL.selectOne()
            .from(TANK_CLEANING)
            .where(
                TANK_CLEANING.TANK_ID.eq(tank),
                TANK_CLEANING.RECORDED_AT.ge(MOVEMENT.RECORDED_AT)));
  }

  /** What flowed in and out of tanks since a time, without what was booked back. */
  public Map<TankId, List<Flow>> flows(Collection<TankId> tanks, Instant since) {
    Movement answer = MOVEMENT.as("answer");
    Field<Long> undone =
        DSL.field(
                DSL.select(DSL.coalesce(DSL.sum(answer.QUANTITY_MICRO), 0).cast(Long.class))
                    .from(answer)
                    .where(
                        answer.REFERS_TO.eq(MOVEMENT.ID),
                        answer.KIND.eq(MovementKind.CORRECTION.name())))
            .as("undone");
    Map<TankId, List<Flow>> flows = new HashMap<>();
    // what is set aside, or let go again, stays where it is
    Movement half = MOVEMENT.as("half");
    Condition stays =
        MOVEMENT
            .KIND
            .eq(MovementKind.TRANSFER.name())
            .and(
                DSL.exists(
                    DSL.selectOne()
                        .from(half)
                        .where(
                            half.REQUEST_KEY.eq(MOVEMENT.REQUEST_KEY),
                            half.ID.ne(MOVEMENT.ID),
                            half.BIN_ID.eq(MOVEMENT.BIN_ID),
                            half.QUANTITY_MICRO.eq(MOVEMENT.QUANTITY_MICRO.neg()))));
    context
        .select(
            TANK.ID,
            MOVEMENT.KIND,
            MOVEMENT.QUANTITY_MICRO,
            MOVEMENT.RECORDED_AT,
            DELIVERY_TEMPERATURE.TEMPERATURE_TENTHS,
            undone)
        .from(TANK)
        .join(MOVEMENT)
        .on(MOVEMENT.BIN_ID.eq(TANK.BIN_ID), MOVEMENT.ITEM_ID.eq(TANK.ITEM_ID))
        .leftJoin(DELIVERY_TEMPERATURE)
        .on(DELIVERY_TEMPERATURE.MOVEMENT_ID.eq(MOVEMENT.ID))
        .where(
            TANK.ID.in(tanks),
            MOVEMENT.KIND.notIn(STILL),
            DSL.not(stays),
            MOVEMENT.RECORDED_AT.ge(since),
            sinceCleaned(TANK.ID, MOVEMENT.RECORDED_AT))
        .orderBy(MOVEMENT.ID)
        .forEach(
            row -> {
              long litres = row.get(MOVEMENT.QUANTITY_MICRO) + row.get(undone);
              if (litres != 0) {
                flows
                    .computeIfAbsent(row.get(TANK.ID), id -> new ArrayList<>())
                    .add(flow(row, litres));
              }
            });
    return flows;
  }

  private static Flow flow(Record row, long microlitres) {
    MovementKind kind = MovementKind.valueOf(row.get(MOVEMENT.KIND));
    Flow.Way in = kind == MovementKind.RECEIPT ? Flow.Way.DELIVERED : Flow.Way.RETURNED;
    return new Flow(
        row.get(MOVEMENT.RECORDED_AT),
        microlitres > 0 ? in : Flow.Way.POURED,
        new Volume(Math.abs(microlitres)),
        Optional.ofNullable(row.get(DELIVERY_TEMPERATURE.TEMPERATURE_TENTHS))
            .map(tenths -> new Temperature(tenths.intValue())));
  }

  /** What the meters of tanks counted, since each was cleaned last and since a time. */
  public Map<TankId, List<MeteredPour>> metered(Collection<TankId> tanks, Instant since) {
    return context
        .select(METERED_POUR.TANK_ID, METERED_POUR.POURED_AT, METERED_POUR.VOLUME_UL)
        .from(METERED_POUR)
        .where(
            METERED_POUR.TANK_ID.in(tanks),
            METERED_POUR.POURED_AT.ge(since),
            sinceCleaned(METERED_POUR.TANK_ID, METERED_POUR.POURED_AT))
        .orderBy(METERED_POUR.POURED_AT, METERED_POUR.ID)
        .fetchGroups(
            METERED_POUR.TANK_ID,
            row ->
                new MeteredPour(
                    row.get(METERED_POUR.POURED_AT), new Volume(row.get(METERED_POUR.VOLUME_UL))));
  }

  /** Notes what a meter counted; false if it counted at that instant already. */
  public boolean addMetered(TankId tank, MeteredPour pour, Instant now) {
    return context
            .insertInto(METERED_POUR)
            .set(METERED_POUR.TANK_ID, tank)
            .set(METERED_POUR.POURED_AT, pour.at())
            .set(METERED_POUR.VOLUME_UL, pour.volume().microlitres())
            .set(METERED_POUR.RECORDED_AT, now)
            .onConflictDoNothing()
            .execute()
        == 1;
  }

  /** What the book has in each tank; one without anything is absent. */
  public Map<TankId, Volume> books() {
    Field<Long> sum = DSL.sum(STOCK.QUANTITY_MICRO).cast(Long.class).as("book");
    return context
        .select(TANK.ID, sum)
        .from(TANK)
        .join(STOCK)
        .on(STOCK.BIN_ID.eq(TANK.BIN_ID), STOCK.ITEM_ID.eq(TANK.ITEM_ID))
        .groupBy(TANK.ID)
        .fetchMap(row -> row.get(TANK.ID), row -> new Volume(row.get(sum)));
  }
}

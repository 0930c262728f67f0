package dev.lonja.store.waste;

import static dev.lonja.store.schema.Tables.FILL;
import static dev.lonja.store.schema.Tables.TRAY;
import static dev.lonja.store.schema.Tables.WASTE_COLLECTION;
import static dev.lonja.store.schema.Tables.WASTE_CONTAINER;
import static dev.lonja.store.schema.Tables.WASTE_ENTRY;
import static dev.lonja.store.schema.Tables.WASTE_STREAM;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.waste.CollectionId;
import dev.lonja.core.waste.ContainerId;
import dev.lonja.core.waste.NewWasteEntry;
import dev.lonja.core.waste.StreamId;
import dev.lonja.core.waste.WasteCollection;
import dev.lonja.core.waste.WasteContainer;
import dev.lonja.core.waste.WasteEntry;
import dev.lonja.core.waste.WasteEntryId;
import dev.lonja.core.waste.WasteKind;
import dev.lonja.core.waste.WasteStream;
import java.time.Instant;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.SelectConditionStep;
import org.jooq.impl.DSL;

/** Waste: its streams, its containers, what was put in and what was fetched. */
public final class WasteRepository {

  private final DSLContext context;

  public WasteRepository(DSLContext context) {
    this.context = context;
  }

  /** By name. */
  public List<WasteStream> streams() {
    return context
        .select(WASTE_STREAM.fields())
        .from(WASTE_STREAM)
        .orderBy(WASTE_STREAM.NAME)
        .fetch(WasteRepository::stream);
  }

  private static WasteStream stream(Record row) {
    return new WasteStream(
        row.get(WASTE_STREAM.ID),
        WasteKind.valueOf(row.get(WASTE_STREAM.KIND)),
        row.get(WASTE_STREAM.NAME),
        row.get(WASTE_STREAM.CODE),
        Measure.ofSymbol(row.get(WASTE_STREAM.MEASURE)),
        Optional.ofNullable(row.get(WASTE_STREAM.LIMIT_DAYS)).map(Long::intValue));
  }

  /** Keeps a new stream. */
  public StreamId addStream(
      WasteKind kind, String name, String code, Measure measure, Optional<Integer> limitDays) {
    return context
        .insertInto(WASTE_STREAM)
        .set(WASTE_STREAM.KIND, kind.name())
        .set(WASTE_STREAM.NAME, name)
        .set(WASTE_STREAM.CODE, code)
        .set(WASTE_STREAM.MEASURE, measure.symbol())
        .set(WASTE_STREAM.LIMIT_DAYS, limitDays.map(Integer::longValue).orElse(null))
        .returning(WASTE_STREAM.ID)
        .fetchSingle(WASTE_STREAM.ID);
  }

  /** By name. */
  public List<WasteContainer> containers() {
    return context
        .select(WASTE_CONTAINER.fields())
        .select(WASTE_STREAM.fields())
        .from(WASTE_CONTAINER)
        .join(WASTE_STREAM)
        .on(WASTE_STREAM.ID.eq(WASTE_CONTAINER.STREAM_ID))
        .orderBy(WASTE_CONTAINER.NAME)
        .fetch(WasteRepository::container);
  }

  private static WasteContainer container(Record row) {
    WasteStream stream = stream(row);
    return new WasteContainer(
        row.get(WASTE_CONTAINER.ID),
        row.get(WASTE_CONTAINER.NAME),
        stream,
        new Quantity(stream.measure(), row.get(WASTE_CONTAINER.CAPACITY_MICRO)),
        row.get(WASTE_CONTAINER.PLACE),
        row.get(WASTE_CONTAINER.LEAD_DAYS).intValue());
  }

  /** Keeps a new container. */
  public ContainerId addContainer(
      StreamId stream, String name, Quantity capacity, String place, int leadDays) {
    return context
        .insertInto(WASTE_CONTAINER)
        .set(WASTE_CONTAINER.STREAM_ID, stream)
        .set(WASTE_CONTAINER.NAME, name)
        .set(WASTE_CONTAINER.CAPACITY_MICRO, capacity.millionths())
        .set(WASTE_CONTAINER.PLACE, place)
        .set(WASTE_CONTAINER.LEAD_DAYS, (long) leadDays)
        .returning(WASTE_CONTAINER.ID)
        .fetchSingle(WASTE_CONTAINER.ID);
  }

  /**
   * What counts of what was put into each container, the oldest first.
   *
   * @param since from then on all of it; of what was before, what was put in since the container
   *     was last empty
   */
  public Map<ContainerId, List<WasteEntry>> entries(Instant since) {
    return context
        .select(WASTE_ENTRY.fields())
        .select(WASTE_STREAM.MEASURE)
        .from(WASTE_ENTRY)
        .join(WASTE_CONTAINER)
        .on(WASTE_CONTAINER.ID.eq(WASTE_ENTRY.CONTAINER_ID))
        .join(WASTE_STREAM)
        .on(WASTE_STREAM.ID.eq(WASTE_CONTAINER.STREAM_ID))
        .where(
            WASTE_ENTRY.WITHDRAWN_WHY.isNull(),
            WASTE_ENTRY
                .PUT_AT
                .ge(since)
                .or(
                    DSL.notExists(
                        DSL.selectOne()
                            .from(WASTE_COLLECTION)
                            .where(
                                WASTE_COLLECTION.CONTAINER_ID.eq(WASTE_ENTRY.CONTAINER_ID),
                                WASTE_COLLECTION.LEFT_MICRO.eq(0L),
                                WASTE_COLLECTION.COLLECTED_AT.ge(WASTE_ENTRY.PUT_AT)))))
        .orderBy(WASTE_ENTRY.PUT_AT, WASTE_ENTRY.ID)
        .fetchGroups(
            row -> row.get(WASTE_ENTRY.CONTAINER_ID),
            row ->
                new WasteEntry(
                    row.get(WASTE_ENTRY.ID),
                    row.get(WASTE_ENTRY.PUT_AT),
                    quantity(row, row.get(WASTE_ENTRY.QUANTITY_MICRO)),
                    Optional.ofNullable(row.get(WASTE_ENTRY.TRAY_ID)),
                    row.get(WASTE_ENTRY.ORIGIN),
                    row.get(WASTE_ENTRY.ACTOR)));
  }

  private static Quantity quantity(Record row, long micro) {
    return new Quantity(Measure.ofSymbol(row.get(WASTE_STREAM.MEASURE)), micro);
  }

  /** What was fetched of each container, the oldest first. */
  public Map<ContainerId, List<WasteCollection>> collections() {
    return collections(DSL.noCondition())
        .orderBy(WASTE_COLLECTION.COLLECTED_AT, WASTE_COLLECTION.ID)
        .fetchGroups(row -> row.get(WASTE_COLLECTION.CONTAINER_ID), WasteRepository::collection);
  }

  private static WasteCollection collection(Record row) {
    return new WasteCollection(
        row.get(WASTE_COLLECTION.COLLECTED_AT),
        quantity(row, row.get(WASTE_COLLECTION.QUANTITY_MICRO)),
        quantity(row, row.get(WASTE_COLLECTION.LEFT_MICRO)),
        row.get(WASTE_COLLECTION.CARRIER),
        row.get(WASTE_COLLECTION.DOCUMENT),
        row.get(WASTE_COLLECTION.ACTOR));
  }

  /** What was fetched of one container, by its number, the latest first. */
  public Map<CollectionId, WasteCollection> fetched(ContainerId container) {
    Map<CollectionId, WasteCollection> fetched = new LinkedHashMap<>();
    collections(WASTE_COLLECTION.CONTAINER_ID.eq(container))
        .orderBy(WASTE_COLLECTION.COLLECTED_AT.desc(), WASTE_COLLECTION.ID.desc())
        .forEach(row -> fetched.put(row.get(WASTE_COLLECTION.ID), collection(row)));
    return fetched;
  }

  private SelectConditionStep<Record> collections(Condition which) {
    return context
        .select(WASTE_COLLECTION.fields())
        .select(WASTE_STREAM.MEASURE)
        .from(WASTE_COLLECTION)
        .join(WASTE_CONTAINER)
        .on(WASTE_CONTAINER.ID.eq(WASTE_COLLECTION.CONTAINER_ID))
        .join(WASTE_STREAM)
        .on(WASTE_STREAM.ID.eq(WASTE_CONTAINER.STREAM_ID))
        .where(which);
  }

  /** Notes what was put into a container. */
  public WasteEntryId put(ContainerId container, NewWasteEntry entry, Instant recordedAt) {
    return context
        .insertInto(WASTE_ENTRY)
        .set(WASTE_ENTRY.CONTAINER_ID, container)
        .set(WASTE_ENTRY.PUT_AT, entry.at())
        .set(WASTE_ENTRY.QUANTITY_MICRO, entry.quantity().millionths())
        .set(WASTE_ENTRY.TRAY_ID, entry.tray().orElse(null))
        .set(WASTE_ENTRY.ORIGIN, entry.from())
        .set(WASTE_ENTRY.ACTOR, entry.actor())
        .set(WASTE_ENTRY.RECORDED_AT, recordedAt)
        .returning(WASTE_ENTRY.ID)
        .fetchSingle(WASTE_ENTRY.ID);
  }

  /** It counts no more. */
  public void withdraw(WasteEntryId id, String why) {
    context
        .update(WASTE_ENTRY)
        .set(WASTE_ENTRY.WITHDRAWN_WHY, why)
        .where(WASTE_ENTRY.ID.eq(id))
        .execute();
  }

  /** Notes that a container was fetched. */
  public void collect(ContainerId container, WasteCollection collection, Instant recordedAt) {
    context
        .insertInto(WASTE_COLLECTION)
        .set(WASTE_COLLECTION.CONTAINER_ID, container)
        .set(WASTE_COLLECTION.COLLECTED_AT, collection.at())
        .set(WASTE_COLLECTION.QUANTITY_MICRO, collection.taken().millionths())
        .set(WASTE_COLLECTION.LEFT_MICRO, collection.left().millionths())
        .set(WASTE_COLLECTION.CARRIER, collection.carrier())
        .set(WASTE_COLLECTION.DOCUMENT, collection.document())
        .set(WASTE_COLLECTION.ACTOR, collection.actor())
        .set(WASTE_COLLECTION.RECORDED_AT, recordedAt)
        .execute();
  }

  /**
   * A fill that was noted when a tray came back.
   *
   * @param drained what ran out before, if somebody measured it
   */
  public record Filled(
      TrayId tray,
      String trayNumber,
      ItemId item,
      Volume volume,
      Optional<Volume> drained,
      LocalDate on) {}

  /** The fills of trays since a day, without those taken back. */
  public List<Filled> filledSince(LocalDate day) {
    var withdrawal = FILL.as("withdrawal");
    return context
        .select(
            FILL.TRAY_ID,
            TRAY.NUMBER,
            FILL.ITEM_ID,
            FILL.VOLUME_UL,
            FILL.DRAINED_UL,
            FILL.FILLED_ON)
        .from(FILL)
        .join(TRAY)
        .on(TRAY.ID.eq(FILL.TRAY_ID))
        .where(
            FILL.FILLED_ON.ge(day),
            FILL.WITHDRAWS.isNull(),
            DSL.notExists(DSL.selectOne().from(withdrawal).where(withdrawal.WITHDRAWS.eq(FILL.ID))))
        .orderBy(FILL.FILLED_ON.desc(), FILL.ID)
        .fetch(
            row ->
                new Filled(
                    row.get(FILL.TRAY_ID),
                    row.get(TRAY.NUMBER),
                    row.get(FILL.ITEM_ID),
                    new Volume(row.get(FILL.VOLUME_UL)),
                    Optional.ofNullable(row.get(FILL.DRAINED_UL)).map(Volume::new),
                    row.get(FILL.FILLED_ON)));
  }
}

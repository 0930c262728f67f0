package dev.lonja.store.ledger;

import static dev.lonja.store.schema.Tables.BIN;
import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.LOT;
import static dev.lonja.store.schema.Tables.STOCK;
import static dev.lonja.store.schema.Tables.TRANSFER;
import static dev.lonja.store.schema.Tables.TRANSFER_LINE;
import static dev.lonja.store.schema.Tables.TRAY;
import static dev.lonja.store.schema.Tables.TRAY_LINE;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.place.Place;
import dev.lonja.core.place.SatelliteId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.transfer.TransferId;
import dev.lonja.core.transfer.TransferState;
import dev.lonja.core.tray.TrayId;
import dev.lonja.store.place.PlaceRepository;
import dev.lonja.store.query.FixedQuery;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.TreeMap;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.ResultQuery;
import org.jooq.impl.DSL;

/**
 * What lies at each place of the store, what of it is spoken for there, and what is free. Spoken
 * for is what lies on open trays of the place and what is picked of transfers that leave it.
 */
public final class PlaceStockRepository {

  private static final Field<Long> STOCK_SUM = DSL.sum(STOCK.QUANTITY_MICRO).cast(Long.class);
  private static final Field<Long> LAID_SUM = DSL.sum(TRAY_LINE.LAID_MICRO).cast(Long.class);
  private static final Field<Long> LEFT =
      TRANSFER_LINE
          .PICKED_MICRO
          .minus(TRANSFER_LINE.CAME_MICRO)
          .minus(TRANSFER_LINE.STAYED_MICRO)
          .minus(TRANSFER_LINE.LOST_MICRO);
  private static final Field<Long> LEFT_SUM = DSL.sum(LEFT).cast(Long.class);
  private static final Field<String> NEW = DSL.inline(LotCondition.NEW.name());

  private static final FixedQuery USABLE = usable(FixedQuery.given(LOT.EXPIRES_ON));
  private static final FixedQuery LAID = laid(DSL.noCondition());
  private static final FixedQuery LAID_OF = laid(ITEM.ID.eq(FixedQuery.given(ITEM.ID)));
  private static final FixedQuery LAID_BESIDES = laid(TRAY.ID.ne(FixedQuery.given(TRAY.ID)));
  private static final FixedQuery PICKED = picked(DSL.noCondition());
  private static final FixedQuery PICKED_OF = picked(ITEM.ID.eq(FixedQuery.given(ITEM.ID)));
  private static final FixedQuery PICKED_BESIDES =
      picked(TRANSFER.ID.ne(FixedQuery.given(TRANSFER.ID)));

  private final DSLContext context;
  private final LedgerRepository ledger;
  private final PlaceRepository places;

  public PlaceStockRepository(DSLContext context, LedgerRepository ledger, PlaceRepository places) {
    this.context = context;
    this.ledger = ledger;
    this.places = places;
  }

  /** All stock of one item in one condition, of which only what lies at a place is issued. */
  public ItemStock of(StockKey key, Place place) {
    return ledger.stockOf(key).within(places.bins(place));
  }

  /** By place, item and condition, what may be issued today and is spoken for by nobody. */
  public Map<Place, Map<StockKey, Quantity>> free(LocalDate today) {
    Map<Place, Map<StockKey, Quantity>> free = usable(today);
    Map<Place, Map<StockKey, Quantity>> held = held();
    free.forEach(
        (place, its) ->
            held.getOrDefault(place, Map.of())
                .forEach(
                    (key, taken) ->
                        its.computeIfPresent(key, (k, there) -> there.minus(taken).atLeastZero())));
    return free;
  }

  /** The same of one place. */
  public Map<StockKey, Quantity> free(LocalDate today, Place place) {
    return free(today).getOrDefault(place, Map.of());
  }

  private Map<Place, Map<StockKey, Quantity>> usable(LocalDate today) {
    return sums(USABLE.with(context, today), BIN.SATELLITE_ID, LOT.CONDITION, STOCK_SUM);
  }

  private static FixedQuery usable(Field<LocalDate> today) {
    return FixedQuery.of(
        DSL.select(BIN.SATELLITE_ID, ITEM.ID, LOT.CONDITION, ITEM.MEASURE, STOCK_SUM)
            .from(STOCK)
            .join(BIN)
            .on(BIN.ID.eq(STOCK.BIN_ID))
            .join(LOT)
            .on(LOT.ID.eq(STOCK.LOT_ID))
            .join(ITEM)
            .on(ITEM.ID.eq(STOCK.ITEM_ID))
            .where(LOT.QUARANTINED.eq(0L))
            .and(LOT.CONDITION.ne(LotCondition.TO_RECONDITION.name()))
            .and(LOT.EXPIRES_ON.isNull().or(LOT.EXPIRES_ON.ge(today)))
            .groupBy(BIN.SATELLITE_ID, ITEM.ID, LOT.CONDITION, ITEM.MEASURE));
  }

  /** What is spoken for at each place, by item and condition. */
  public Map<Place, Map<StockKey, Quantity>> held() {
    return held(LAID.with(context), PICKED.with(context));
  }

  /** What is spoken for of a stock at a place. */
  public Quantity held(ItemStock stock, Place place) {
    ItemId item = stock.itemId();
    return held(LAID_OF.with(context, item), PICKED_OF.with(context, item))
        .getOrDefault(place, Map.of())
        .getOrDefault(stock.key(), Quantity.zero(stock.measure()));
  }

  /** What is spoken for at a place by others than this tray. */
  public Map<StockKey, Quantity> heldBesides(TrayId trayId, Place place) {
    return held(LAID_BESIDES.with(context, trayId), PICKED.with(context))
        .getOrDefault(place, Map.of());
  }

  /** What is spoken for at a place by others than this transfer. */
  public Map<StockKey, Quantity> heldBesides(TransferId transferId, Place place) {
    return held(LAID.with(context), PICKED_BESIDES.with(context, transferId))
        .getOrDefault(place, Map.of());
  }

  private Map<Place, Map<StockKey, Quantity>> held(
      ResultQuery<Record> laid, ResultQuery<Record> picked) {
    Map<Place, Map<StockKey, Quantity>> held =
        sums(laid, TRAY.SATELLITE_ID, TRAY_LINE.LOT_CONDITION, LAID_SUM);
    sums(picked, TRANSFER.FROM_SATELLITE_ID, NEW, LEFT_SUM)
        .forEach(
            (place, its) ->
                its.forEach(
                    (key, quantity) ->
                        held.computeIfAbsent(place, p -> new HashMap<>())
                            .merge(key, quantity, Quantity::plus)));
    return held;
  }

  private static FixedQuery laid(Condition which) {
    return FixedQuery.of(
        DSL.select(TRAY.SATELLITE_ID, ITEM.ID, TRAY_LINE.LOT_CONDITION, ITEM.MEASURE, LAID_SUM)
            .from(TRAY_LINE)
            .join(TRAY)
            .on(TRAY.ID.eq(TRAY_LINE.TRAY_ID))
            .join(ITEM)
            .on(ITEM.ID.eq(TRAY_LINE.ITEM_ID))
            .where(TRAY.STATE.eq("OPEN"), which)
            .groupBy(TRAY.SATELLITE_ID, ITEM.ID, TRAY_LINE.LOT_CONDITION, ITEM.MEASURE));
  }

  private static FixedQuery picked(Condition which) {
    return FixedQuery.of(
        DSL.select(TRANSFER.FROM_SATELLITE_ID, ITEM.ID, NEW, ITEM.MEASURE, LEFT_SUM)
            .from(TRANSFER_LINE)
            .join(TRANSFER)
            .on(TRANSFER.ID.eq(TRANSFER_LINE.TRANSFER_ID))
            .join(ITEM)
            .on(ITEM.ID.eq(TRANSFER_LINE.ITEM_ID))
            .where(
                TRANSFER.STATE.in(TransferState.ASKED.name(), TransferState.SENT.name()),
                LEFT.gt(0L),
                which)
            .groupBy(TRANSFER.FROM_SATELLITE_ID, ITEM.ID, ITEM.MEASURE));
  }

  private Map<Place, Map<StockKey, Quantity>> sums(
      ResultQuery<Record> query,
      Field<SatelliteId> satellite,
      Field<String> condition,
      Field<Long> sum) {
    Map<Place, Map<StockKey, Quantity>> sums = new TreeMap<>();
    for (Record row : query.fetch()) {
      ItemId item = row.get(ITEM.ID);
      sums.computeIfAbsent(Place.of(row.get(satellite)), place -> new HashMap<>())
          .put(
              new StockKey(item, LotCondition.valueOf(row.get(condition))),
              new Quantity(Measure.ofSymbol(row.get(ITEM.MEASURE)), row.get(sum)));
    }
    return sums;
  }
}

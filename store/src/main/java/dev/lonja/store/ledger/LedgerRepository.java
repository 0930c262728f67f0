package dev.lonja.store.ledger;

import static dev.lonja.store.schema.Tables.BIN;
import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.LOT;
import static dev.lonja.store.schema.Tables.LOT_WORTH;
import static dev.lonja.store.schema.Tables.MOVEMENT;
import static dev.lonja.store.schema.Tables.REQUEST;
import static dev.lonja.store.schema.Tables.STOCK;
import static dev.lonja.store.schema.Tables.TRAY;
import static dev.lonja.store.schema.Tables.TRAY_LINE;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.LotInBin;
import dev.lonja.core.ledger.MovementKind;
import dev.lonja.core.ledger.MovementLine;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.ledger.StockedLot;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.store.query.Bound;
import dev.lonja.store.query.FixedInsert;
import dev.lonja.store.query.FixedQuery;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Currency;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.ResultQuery;
import org.jooq.Select;
import org.jooq.impl.DSL;

/** Reads stock and appends movements; nothing here changes or deletes a movement. */
public final class LedgerRepository {

  private static final Field<Long> STOCK_SUM = DSL.sum(STOCK.QUANTITY_MICRO).cast(Long.class);
  private static final Field<Long> LAID_SUM = DSL.sum(TRAY_LINE.LAID_MICRO).cast(Long.class);

  private static final FixedQuery USABLE = FixedQuery.of(usable(DSL.noCondition()));
  private static final FixedQuery USABLE_OF = FixedQuery.of(usable(Bound.oneOfGiven(ITEM.ID)));
  private static final FixedQuery HELD = FixedQuery.of(held(DSL.noCondition()));
  private static final FixedQuery HELD_OF = FixedQuery.of(held(Bound.oneOfGiven(ITEM.ID)));

  /** Given a condition: what the item's lots of it are worth. */
  private static final Field<Long> VALUE =
      DSL.field(
              DSL.select(DSL.coalesce(DSL.sum(LOT_WORTH.VALUE_MINOR), DSL.inline(0)))
                  .from(LOT_WORTH)
                  .join(LOT)
                  .on(LOT.ID.eq(LOT_WORTH.LOT_ID))
                  .where(
                      LOT_WORTH.ITEM_ID.eq(ITEM.ID),
                      LOT.CONDITION.eq(FixedQuery.given(LOT.CONDITION))))
          .cast(Long.class)
          .as("worth");

  /** Given a condition: from the item's last movement back, whose lot is most often it. */
  private static final Field<Long> AVERAGE =
      DSL.field(
              DSL.select(MOVEMENT.AVERAGE_E4)
                  .from(MOVEMENT)
                  .where(MOVEMENT.ITEM_ID.eq(ITEM.ID))
                  .andExists(
                      DSL.selectOne()
                          .from(LOT)
                          .where(
                              LOT.ID.eq(MOVEMENT.LOT_ID),
                              LOT.CONDITION.eq(FixedQuery.given(LOT.CONDITION))))
                  .orderBy(MOVEMENT.ID.desc())
                  .limit(DSL.inline(1)))
          .as("average");

  /** Given a condition twice and then the item. */
  private static final FixedQuery FIGURES =
      FixedQuery.of(
          DSL.select(ITEM.MEASURE, VALUE, AVERAGE)
              .from(ITEM)
              .where(ITEM.ID.eq(FixedQuery.given(ITEM.ID))));

  /** What {@link #lotFacts} reads. */
  static final List<Field<?>> LOT_FACTS =
      List.of(
          STOCK.ITEM_ID,
          STOCK.LOT_ID,
          STOCK.BIN_ID,
          STOCK.QUANTITY_MICRO,
          LOT.CONDITION,
          LOT.RECEIVED_ON,
          LOT.EXPIRES_ON,
          LOT.QUARANTINED,
          LOT.OPENED_ON,
          LOT.CODE,
          ITEM.MEASURE,
          BIN.ADDRESS);

  private static final FixedQuery LOTS =
      FixedQuery.of(
          DSL.select(LOT_FACTS)
              .from(STOCK)
              .join(LOT)
              .on(LOT.ID.eq(STOCK.LOT_ID))
              .join(ITEM)
              .on(ITEM.ID.eq(STOCK.ITEM_ID))
              .join(BIN)
              .on(BIN.ID.eq(STOCK.BIN_ID))
              .where(STOCK.ITEM_ID.eq(FixedQuery.given(STOCK.ITEM_ID)))
              .and(STOCK.QUANTITY_MICRO.gt(0L))
              .orderBy(LOT.RECEIVED_ON, LOT.ID, BIN.WALK_ORDER));

  private static final FixedInsert<Long> APPEND =
      FixedInsert.into(
          MOVEMENT,
          MOVEMENT.ID,
          MOVEMENT.ITEM_ID,
          MOVEMENT.LOT_ID,
          MOVEMENT.BIN_ID,
          MOVEMENT.KIND,
          MOVEMENT.QUANTITY_MICRO,
          MOVEMENT.VALUE_MINOR,
          MOVEMENT.AVERAGE_E4,
          MOVEMENT.REASON,
          MOVEMENT.REFERENCE,
          MOVEMENT.REFERS_TO,
          MOVEMENT.REQUEST_KEY,
          MOVEMENT.LINE_NO,
          MOVEMENT.ACTOR,
          MOVEMENT.RECORDED_AT);

  private static final FixedQuery LATEST = lines(DSL.noCondition());
  private static final FixedQuery LATEST_OF =
      lines(MOVEMENT.ITEM_ID.eq(FixedQuery.given(MOVEMENT.ITEM_ID)));
  private static final FixedQuery LINE = lines(MOVEMENT.ID.eq(FixedQuery.given(MOVEMENT.ID)));

  private final DSLContext context;
  private final Currency currency;

  public LedgerRepository(DSLContext context, Currency currency) {
    this.context = context;
    this.currency = currency;
  }

  /** All new stock of one item; an unknown item is broken data and throws. */
  public ItemStock stockOf(ItemId itemId) {
    return stockOf(StockKey.ofNew(itemId));
  }

  /** All stock of one item in one condition; an unknown item is broken data and throws. */
  public ItemStock stockOf(StockKey key) {
    String condition = key.condition().name();
    Record figures = FIGURES.with(context, condition, condition, key.itemId()).fetchSingle();
    List<StockedLot> lots =
        lotsOf(key.itemId()).stream()
            .map(LotFacts::lot)
            .filter(lot -> lot.condition() == key.condition())
            .toList();
    long average = Optional.ofNullable(figures.get(AVERAGE)).orElse(0L);
    return new ItemStock(
        key,
        Measure.ofSymbol(figures.get(ITEM.MEASURE)),
        lots,
        new Money(figures.get(VALUE), currency),
        new UnitPrice(average, currency));
  }

  /** What one new piece of each item is worth on the average; what never moved is absent. */
  public Map<ItemId, UnitPrice> averages(Collection<ItemId> itemIds) {
    return context
        .select(MOVEMENT.ITEM_ID, MOVEMENT.AVERAGE_E4)
        .from(MOVEMENT)
        .where(
            MOVEMENT.ID.in(
                DSL.select(DSL.max(MOVEMENT.ID))
                    .from(MOVEMENT)
                    .join(LOT)
                    .on(LOT.ID.eq(MOVEMENT.LOT_ID))
                    .where(MOVEMENT.ITEM_ID.in(itemIds))
                    .and(LOT.CONDITION.eq(LotCondition.NEW.name()))
                    .groupBy(MOVEMENT.ITEM_ID)))
        .fetchMap(MOVEMENT.ITEM_ID, row -> new UnitPrice(row.value2(), currency));
  }

  /** What lies of an item, lot by lot and bin by bin, empty places left out. */
  public List<LotFacts> lotsOf(ItemId itemId) {
    return LOTS.with(context, itemId).fetch(LedgerRepository::lotFacts);
  }

  /** By item and condition, what may be issued today: neither expired nor quarantined. */
  public Map<StockKey, Quantity> usable(LocalDate today) {
    return sums(USABLE.with(context, today), LOT.CONDITION, STOCK_SUM);
  }

  /** Given first the items, where they are asked for, and then the day. */
  private static Select<?> usable(Condition which) {
    return DSL.select(ITEM.ID, LOT.CONDITION, ITEM.MEASURE, STOCK_SUM)
        .from(STOCK)
        .join(LOT)
        .on(LOT.ID.eq(STOCK.LOT_ID))
        .join(ITEM)
        .on(ITEM.ID.eq(STOCK.ITEM_ID))
        .where(LOT.QUARANTINED.eq(0L), which)
        .and(LOT.CONDITION.ne(LotCondition.TO_RECONDITION.name()))
        .and(LOT.EXPIRES_ON.isNull().or(LOT.EXPIRES_ON.ge(FixedQuery.given(LOT.EXPIRES_ON))))
        .groupBy(ITEM.ID, LOT.CONDITION, ITEM.MEASURE);
  }

  private static Map<StockKey, Quantity> sums(
      ResultQuery<? extends Record> query, Field<String> condition, Field<Long> sum) {
    return query.fetchMap(
        row -> new StockKey(row.get(ITEM.ID), LotCondition.valueOf(row.get(condition))),
        row -> new Quantity(Measure.ofSymbol(row.get(ITEM.MEASURE)), row.get(sum)));
  }

  /** What open trays hold, by item and condition. */
  public Map<StockKey, Quantity> held() {
    return heldBy(HELD.with(context));
  }

  private static Map<StockKey, Quantity> heldBy(ResultQuery<? extends Record> query) {
    return sums(query, TRAY_LINE.LOT_CONDITION, LAID_SUM);
  }

  private static Select<?> held(Condition which) {
    return DSL.select(ITEM.ID, TRAY_LINE.LOT_CONDITION, ITEM.MEASURE, LAID_SUM)
        .from(TRAY_LINE)
        .join(TRAY)
        .on(TRAY.ID.eq(TRAY_LINE.TRAY_ID))
        .join(ITEM)
        .on(ITEM.ID.eq(TRAY_LINE.ITEM_ID))
        .where(TRAY.STATE.eq("OPEN"), which)
        .groupBy(ITEM.ID, TRAY_LINE.LOT_CONDITION, ITEM.MEASURE);
  }

  /** What may be issued and lies on no open tray, by item and condition, never below zero. */
  public Map<StockKey, Quantity> freeStock(LocalDate today) {
    return less(usable(today), held());
  }

  /** By item, what of it is new, may be issued and lies on no open tray, never below zero. */
  public Map<ItemId, Quantity> free(LocalDate today) {
    return fresh(freeStock(today));
  }

  /** The same of these items only, which is quicker than of a whole store. */
  public Map<ItemId, Quantity> free(LocalDate today, Collection<ItemId> itemIds) {
    String items = Bound.numbers(itemIds);
    return fresh(
        less(
            sums(USABLE_OF.with(context, items, today), LOT.CONDITION, STOCK_SUM),
            heldBy(HELD_OF.with(context, items))));
  }

  private static Map<ItemId, Quantity> fresh(Map<StockKey, Quantity> stock) {
    Map<ItemId, Quantity> fresh = new HashMap<>();
    stock.forEach(
        (key, quantity) -> {
          if (key.condition() == LotCondition.NEW) {
            fresh.put(key.itemId(), quantity);
          }
        });
    return fresh;
  }

  private static Map<StockKey, Quantity> less(
      Map<StockKey, Quantity> usable, Map<StockKey, Quantity> held) {
    Map<StockKey, Quantity> free = new HashMap<>(usable);
    held.forEach(
        (key, laid) -> free.computeIfPresent(key, (k, there) -> there.minus(laid).atLeastZero()));
    return free;
  }

  /** The items that lie in a bin. */
  public List<ItemId> itemsIn(BinId binId) {
    return context
        .selectDistinct(STOCK.ITEM_ID)
        .from(STOCK)
        .where(STOCK.BIN_ID.eq(binId), STOCK.QUANTITY_MICRO.gt(0L))
        .orderBy(STOCK.ITEM_ID)
        .fetch(STOCK.ITEM_ID);
  }

  /** A lot of this item in a bin; empty if the item has no such lot, or the store no such bin. */
  public Optional<LotInBin> place(ItemId itemId, LotId lotId, BinId binId) {
    boolean known =
        context.fetchExists(LOT, LOT.ITEM_ID.eq(itemId), LOT.ID.eq(lotId))
            && context.fetchExists(BIN, BIN.ID.eq(binId));
    return known ? Optional.of(new LotInBin(itemId, lotId, binId)) : Optional.empty();
  }

  /**
   * Appends lines, numbered on from {@code firstLineNo} within their request.
   *
   * @return their numbers in the ledger
   */
  public List<Long> append(List<MovementLine> lines, Posting posting, int firstLineNo) {
    List<Long> numbers = new ArrayList<>();
    long lineNo = firstLineNo;
    for (MovementLine line : lines) {
      numbers.add(
          APPEND.insert(
              context,
              line.place().itemId(),
              line.place().lotId(),
              line.place().binId(),
              line.kind().name(),
              line.quantity().millionths(),
              line.value().minor(),
              line.average().tenThousandthsOfMinor(),
              posting.reason(),
              posting.reference(),
              line.refersTo().orElse(null),
              posting.requestKey(),
              lineNo++,
              posting.actor(),
              posting.at()));
    }
    return numbers;
  }

  /** The latest movements of an item, newest first. */
  public List<LedgerLine> latest(ItemId itemId, int most) {
    return LATEST_OF.with(context, itemId, (long) most).fetch(this::ledgerLine);
  }

  /** The latest movements of the store, newest first. */
  public List<LedgerLine> latest(int most) {
    return LATEST.with(context, (long) most).fetch(this::ledgerLine);
  }

  public Optional<LedgerLine> line(long movementId) {
    return LINE.with(context, movementId, 1L).fetchOptional(this::ledgerLine);
  }

  /** Given first what the condition asks for, then how many lines at most. */
  private static FixedQuery lines(Condition condition) {
    return FixedQuery.of(
        DSL.select(MOVEMENT.fields())
            .select(ITEM.MEASURE, LOT.CODE, BIN.ADDRESS, TRAY.MECHANIC, REQUEST.HAPPENED_AT)
            .from(MOVEMENT)
            .join(ITEM)
            .on(ITEM.ID.eq(MOVEMENT.ITEM_ID))
            .join(LOT)
            .on(LOT.ID.eq(MOVEMENT.LOT_ID))
            .join(BIN)
            .on(BIN.ID.eq(MOVEMENT.BIN_ID))
            .join(REQUEST)
            .on(REQUEST.REQUEST_KEY.eq(MOVEMENT.REQUEST_KEY))
            .leftJoin(TRAY)
            .on(TRAY.NUMBER.eq(MOVEMENT.REFERENCE))
            .where(condition)
            .orderBy(MOVEMENT.ID.desc())
            .limit(FixedQuery.given(MOVEMENT.ID)));
  }

  private LedgerLine ledgerLine(Record row) {
    return new LedgerLine(
        row.get(MOVEMENT.ID),
        row.get(MOVEMENT.ITEM_ID),
        MovementKind.valueOf(row.get(MOVEMENT.KIND)),
        new LotInBin(row.get(MOVEMENT.ITEM_ID), row.get(MOVEMENT.LOT_ID), row.get(MOVEMENT.BIN_ID)),
        row.get(LOT.CODE),
        row.get(BIN.ADDRESS),
        new Quantity(Measure.ofSymbol(row.get(ITEM.MEASURE)), row.get(MOVEMENT.QUANTITY_MICRO)),
        new Money(row.get(MOVEMENT.VALUE_MINOR), currency),
        new UnitPrice(row.get(MOVEMENT.AVERAGE_E4), currency),
        new LedgerLine.Cause(
            row.get(MOVEMENT.REASON),
            row.get(MOVEMENT.REFERENCE),
            Optional.ofNullable(row.get(TRAY.MECHANIC)),
            Optional.ofNullable(row.get(MOVEMENT.REFERS_TO)),
            Optional.ofNullable(row.get(REQUEST.HAPPENED_AT))),
        row.get(MOVEMENT.ACTOR),
        row.get(MOVEMENT.RECORDED_AT));
  }

  /** What lies of a lot in a bin. */
  static LotFacts lotFacts(Record row) {
    StockedLot lot =
        new StockedLot(
            new LotInBin(row.get(STOCK.ITEM_ID), row.get(STOCK.LOT_ID), row.get(STOCK.BIN_ID)),
            LotCondition.valueOf(row.get(LOT.CONDITION)),
            row.get(LOT.RECEIVED_ON),
            Optional.ofNullable(row.get(LOT.EXPIRES_ON)),
            row.get(LOT.QUARANTINED) == 1,
            Optional.ofNullable(row.get(LOT.OPENED_ON)),
            new Quantity(Measure.ofSymbol(row.get(ITEM.MEASURE)), row.get(STOCK.QUANTITY_MICRO)));
    return new LotFacts(lot, row.get(LOT.CODE), row.get(BIN.ADDRESS));
  }
}

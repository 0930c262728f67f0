package dev.lonja.store.ledger;

import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.LOT;
import static dev.lonja.store.schema.Tables.MOVEMENT;
import static dev.lonja.store.schema.Tables.STOCK;

import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.MovementKind;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.Currency;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.impl.DSL;

/** What there was and what it was worth, by the book. */
public final class StockList {

  private final DSLContext context;
  private final Currency currency;

  public StockList(DSLContext context, Currency currency) {
    this.context = context;
    this.currency = currency;
  }

  /** An item in one condition; neither amount nor worth is below zero. */
  public record Row(StockKey key, Quantity quantity, Money worth) {}

  /**
   * What the book said before a moment, of everything of which there was any or which was worth
   * anything, by item.
   */
  public List<Row> before(Instant moment) {
    Field<Long> quantity = DSL.sum(MOVEMENT.QUANTITY_MICRO).cast(Long.class).as("there");
    Field<Long> worth = DSL.sum(MOVEMENT.VALUE_MINOR).cast(Long.class).as("worth");
    return context
        .select(MOVEMENT.ITEM_ID, LOT.CONDITION, ITEM.MEASURE, quantity, worth)
        .from(MOVEMENT)
        .join(LOT)
        .on(LOT.ID.eq(MOVEMENT.LOT_ID))
        .join(ITEM)
        .on(ITEM.ID.eq(MOVEMENT.ITEM_ID))
        .where(MOVEMENT.RECORDED_AT.lt(moment))
        .groupBy(MOVEMENT.ITEM_ID, LOT.CONDITION, ITEM.MEASURE)
        .having(
            DSL.sum(MOVEMENT.QUANTITY_MICRO)
                .ne(BigDecimal.ZERO)
                .or(DSL.sum(MOVEMENT.VALUE_MINOR).ne(BigDecimal.ZERO)))
        .orderBy(MOVEMENT.ITEM_ID, LOT.CONDITION)
        .fetch(
            row ->
                new Row(
                    new StockKey(
                        row.get(MOVEMENT.ITEM_ID), LotCondition.valueOf(row.get(LOT.CONDITION))),
                    new Quantity(Measure.ofSymbol(row.get(ITEM.MEASURE)), row.get(quantity)),
                    new Money(row.get(worth), currency)));
  }

  /** When some of a lot left it last, by whom it was booked, and what for. */
  public record Taken(Instant at, String actor, String reference) {}

  /** Of each opened container with something in it, when some was taken out last. */
  public Map<LotId, Taken> lastTaken() {
    Map<LotId, Taken> taken = new HashMap<>();
    context
        .select(MOVEMENT.LOT_ID, MOVEMENT.RECORDED_AT, MOVEMENT.ACTOR, MOVEMENT.REFERENCE)
        .from(MOVEMENT)
        .where(
            MOVEMENT.QUANTITY_MICRO.lt(0L),
            MOVEMENT.KIND.in(MovementKind.ISSUE.name(), MovementKind.POUR.name()),
            MOVEMENT.LOT_ID.in(
                DSL.select(LOT.ID)
                    .from(LOT)
                    .join(STOCK)
                    .on(STOCK.LOT_ID.eq(LOT.ID))
                    .where(LOT.OPENED_ON.isNotNull(), STOCK.QUANTITY_MICRO.gt(0L))))
        .orderBy(MOVEMENT.ID)
        .forEach(
            row ->
                taken.put(
                    row.get(MOVEMENT.LOT_ID),
                    new Taken(
                        row.get(MOVEMENT.RECORDED_AT),
                        row.get(MOVEMENT.ACTOR),
                        row.get(MOVEMENT.REFERENCE))));
    return taken;
  }

  /** Since when a lot is set aside, and why in the words of whoever did it. */
  public record SetAside(Instant at, String why) {}

  /** Of each lot that is set aside and of which any is left, when the last of it was put there. */
  public Map<LotId, SetAside> setAside() {
    Map<LotId, SetAside> setAside = new HashMap<>();
    context
        .select(MOVEMENT.LOT_ID, MOVEMENT.RECORDED_AT, MOVEMENT.REASON)
        .from(MOVEMENT)
        .where(
            MOVEMENT.QUANTITY_MICRO.gt(0L),
            MOVEMENT.LOT_ID.in(
                DSL.select(LOT.ID)
                    .from(LOT)
                    .join(STOCK)
                    .on(STOCK.LOT_ID.eq(LOT.ID))
                    .where(LOT.QUARANTINED.eq(1L), STOCK.QUANTITY_MICRO.gt(0L))))
        .orderBy(MOVEMENT.ID)
        .forEach(
            row ->
                setAside.put(
                    row.get(MOVEMENT.LOT_ID),
                    new SetAside(row.get(MOVEMENT.RECORDED_AT), row.get(MOVEMENT.REASON))));
    return setAside;
  }
}

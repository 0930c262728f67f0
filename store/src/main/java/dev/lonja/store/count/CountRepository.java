package dev.lonja.store.count;

import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.LOT;
import static dev.lonja.store.schema.Tables.MOVEMENT;
import static dev.lonja.store.schema.Tables.STOCK;
import static dev.lonja.store.schema.Tables.STOCK_COUNT;
import static dev.lonja.store.schema.Tables.TANK;

import dev.lonja.core.count.CountId;
import dev.lonja.core.count.Spot;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.MovementKind;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import java.time.Instant;
import java.util.Currency;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.impl.DSL;

/** What was counted, and what there is to count. */
public final class CountRepository {

  /** What is used up of a year: what was issued or poured less what came back. */
  private static final List<String> USING =
      List.of(MovementKind.ISSUE.name(), MovementKind.POUR.name(), MovementKind.RETURN.name());

  private final DSLContext context;
  private final Currency currency;

  public CountRepository(DSLContext context, Currency currency) {
    this.context = context;
    this.currency = currency;
  }

  /** What came of a count. */
  public enum State {
    AGREED,
    /** It waits for a second count. */
    FIRST,
    BOOKED,
    /** A second count was made. */
    OVERRULED
  }

  /** A first count that waits for a second. */
  public record First(CountId id, Quantity counted, String actor, Instant at) {}

  /** New ones in each bin by the book, by item; and nothing of what is at home there but out. */
  public Map<Spot, Quantity> book() {
    Map<Spot, Quantity> book = new LinkedHashMap<>();
    context
        .select(ITEM.ID, ITEM.HOME_BIN_ID, ITEM.MEASURE)
        .from(ITEM)
        .where(ITEM.RETIRED_ON.isNull())
        .forEach(
            row ->
                book.put(
                    new Spot(row.get(ITEM.ID), row.get(ITEM.HOME_BIN_ID)),
                    Quantity.zero(Measure.ofSymbol(row.get(ITEM.MEASURE)))));
    Field<Long> sum = DSL.sum(STOCK.QUANTITY_MICRO).cast(Long.class).as("there");
    context
        .select(STOCK.ITEM_ID, STOCK.BIN_ID, ITEM.MEASURE, sum)
        .from(STOCK)
        .join(LOT)
        .on(LOT.ID.eq(STOCK.LOT_ID))
        .join(ITEM)
        .on(ITEM.ID.eq(STOCK.ITEM_ID))
        .where(LOT.CONDITION.eq(LotCondition.NEW.name()), STOCK.QUANTITY_MICRO.gt(0L))
        .groupBy(STOCK.ITEM_ID, STOCK.BIN_ID, ITEM.MEASURE)
        .forEach(
            row ->
                book.put(
                    new Spot(row.get(STOCK.ITEM_ID), row.get(STOCK.BIN_ID)),
                    new Quantity(Measure.ofSymbol(row.get(ITEM.MEASURE)), row.get(sum))));
    // a tank is dipped
    context
        .select(TANK.ITEM_ID, TANK.BIN_ID)
        .from(TANK)
        .forEach(row -> book.remove(new Spot(row.get(TANK.ITEM_ID), row.get(TANK.BIN_ID))));
    return book;
  }

  /** When each was last counted to an end. */
  public Map<Spot, Instant> last() {
    Field<Instant> at = DSL.max(STOCK_COUNT.COUNTED_AT).as("at");
    return context
        .select(STOCK_COUNT.ITEM_ID, STOCK_COUNT.BIN_ID, at)
        .from(STOCK_COUNT)
        .where(STOCK_COUNT.STATE.in(State.AGREED.name(), State.BOOKED.name()))
        .groupBy(STOCK_COUNT.ITEM_ID, STOCK_COUNT.BIN_ID)
        .fetchMap(
            row -> new Spot(row.get(STOCK_COUNT.ITEM_ID), row.get(STOCK_COUNT.BIN_ID)),
            row -> row.get(at));
  }

  /** First counts that wait for a second. */
  public Map<Spot, First> firsts() {
    Map<Spot, First> firsts = new HashMap<>();
    context
        .select(STOCK_COUNT.fields())
        .select(ITEM.MEASURE)
        .from(STOCK_COUNT)
        .join(ITEM)
        .on(ITEM.ID.eq(STOCK_COUNT.ITEM_ID))
        .where(STOCK_COUNT.STATE.eq(State.FIRST.name()))
        .orderBy(STOCK_COUNT.ID)
        .forEach(
            row ->
                firsts.put(
                    new Spot(row.get(STOCK_COUNT.ITEM_ID), row.get(STOCK_COUNT.BIN_ID)),
                    new First(
                        row.get(STOCK_COUNT.ID),
                        new Quantity(
                            Measure.ofSymbol(row.get(ITEM.MEASURE)),
                            row.get(STOCK_COUNT.COUNTED_MICRO)),
                        row.get(STOCK_COUNT.ACTOR),
                        row.get(STOCK_COUNT.COUNTED_AT))));
    return firsts;
  }

  /** What was used of each item since a time, at cost. */
  public Map<ItemId, Money> usedSince(Instant since) {
    Field<Long> value = DSL.sum(MOVEMENT.VALUE_MINOR).neg().cast(Long.class).as("used");
    return context
        .select(MOVEMENT.ITEM_ID, value)
        .from(MOVEMENT)
        .where(MOVEMENT.KIND.in(USING), MOVEMENT.RECORDED_AT.ge(since))
        .groupBy(MOVEMENT.ITEM_ID)
        .fetchMap(row -> row.get(MOVEMENT.ITEM_ID), row -> new Money(row.get(value), currency));
  }

  /** The last movement of anything of an item in a bin: what changes it makes a count old. */
  public long stamp(Spot spot) {
    return Optional.ofNullable(
            context
                .select(DSL.max(MOVEMENT.ID))
                .from(MOVEMENT)
                .where(MOVEMENT.ITEM_ID.eq(spot.item()), MOVEMENT.BIN_ID.eq(spot.bin()))
                .fetchOne(0, Long.class))
        .orElse(0L);
  }

  /** The same for every item in every bin. */
  public Map<Spot, Long> stamps() {
    Field<Long> last = DSL.max(MOVEMENT.ID).as("last");
    return context
        .select(MOVEMENT.ITEM_ID, MOVEMENT.BIN_ID, last)
        .from(MOVEMENT)
        .groupBy(MOVEMENT.ITEM_ID, MOVEMENT.BIN_ID)
        .fetchMap(
            row -> new Spot(row.get(MOVEMENT.ITEM_ID), row.get(MOVEMENT.BIN_ID)),
            row -> row.get(last));
  }

  /**
   * Keeps a count.
   *
   * @param why it differs; empty if it agrees
   */
  public void add(
      Spot spot,
      Quantity counted,
      Quantity book,
      State state,
      String why,
      String actor,
      Instant at) {
    context
        .insertInto(STOCK_COUNT)
        .set(STOCK_COUNT.ITEM_ID, spot.item())
        .set(STOCK_COUNT.BIN_ID, spot.bin())
        .set(STOCK_COUNT.COUNTED_MICRO, counted.millionths())
        .set(STOCK_COUNT.BOOK_MICRO, book.millionths())
        .set(STOCK_COUNT.STATE, state.name())
        .set(STOCK_COUNT.REASON, why)
        .set(STOCK_COUNT.ACTOR, actor)
        .set(STOCK_COUNT.COUNTED_AT, at)
        .execute();
  }

  /** A second count was made. */
  public void overrule(CountId first) {
    context
        .update(STOCK_COUNT)
        .set(STOCK_COUNT.STATE, State.OVERRULED.name())
        .where(STOCK_COUNT.ID.eq(first))
        .execute();
  }
}

package dev.lonja.store.count;

import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.LOT;
import static dev.lonja.store.schema.Tables.MOVEMENT;
import static dev.lonja.store.schema.Tables.STOCK;
import static dev.lonja.store.schema.Tables.STOCK_COUNT;
import static dev.lonja.store.schema.Tables.TANK;

import dev.lonja.core.count.CountId;
import dev.lonja.core.count.Spot;
import dev.lonja.core.count.StocktakeId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.MovementKind;
import dev.lonja.core.place.BinId;
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
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
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
    /** It differs, and waits for the end of its stocktake. */
    DIFFERS,
    BOOKED,
    /** A second count was made. */
    OVERRULED,
    /** Its stocktake was given up. */
    DROPPED;

    /** True if it is a last word on what lies there. */
    public boolean isFinal() {
      return this == AGREED || this == DIFFERS || this == BOOKED;
    }
  }

  /**
   * A count.
   *
   * @param book how many there were to be
   * @param why it differs; empty if it agrees or nobody said
   * @param stocktake to which it belongs; empty for one of the day's
   */
  public record Count(
      Spot spot,
      Quantity counted,
      Quantity book,
      State state,
      String why,
      String actor,
      Instant at,
      Optional<StocktakeId> stocktake) {}

  /** A count that is stored. */
  public record Stored(CountId id, Count count) {}

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

  /** When something in a bin was last counted to an end; empty if it never was. */
  public Optional<Instant> lastIn(BinId bin) {
    return context
        .select(DSL.max(STOCK_COUNT.COUNTED_AT).as("at"))
        .from(STOCK_COUNT)
        .where(
            STOCK_COUNT.BIN_ID.eq(bin),
            STOCK_COUNT.STATE.in(State.AGREED.name(), State.BOOKED.name()))
        .fetchOptional(row -> row.get("at", Instant.class));
  }

  /** First counts that wait for a second. */
  public Map<Spot, Stored> firsts() {
    Map<Spot, Stored> firsts = new HashMap<>();
    stored(STOCK_COUNT.STATE.eq(State.FIRST.name()))
        .forEach(first -> firsts.put(first.count().spot(), first));
    return firsts;
  }

  /** All counts since a time, in the order in which they were made. */
  public List<Stored> since(Instant from) {
    return stored(STOCK_COUNT.COUNTED_AT.ge(from));
  }

  /** All counts of a stocktake, in the order in which they were made. */
  public List<Stored> of(StocktakeId stocktake) {
    return stored(STOCK_COUNT.STOCKTAKE_ID.eq(stocktake));
  }

  public Optional<Stored> byId(CountId id) {
    return stored(STOCK_COUNT.ID.eq(id)).stream().findFirst();
  }

  private List<Stored> stored(Condition which) {
    return context
        .select(STOCK_COUNT.fields())
        .select(ITEM.MEASURE)
        .from(STOCK_COUNT)
        .join(ITEM)
        .on(ITEM.ID.eq(STOCK_COUNT.ITEM_ID))
        .where(which)
        .orderBy(STOCK_COUNT.ID)
        .fetch(CountRepository::stored);
  }

  private static Stored stored(Record row) {
    Measure measure = Measure.ofSymbol(row.get(ITEM.MEASURE));
    return new Stored(
        row.get(STOCK_COUNT.ID),
        new Count(
            new Spot(row.get(STOCK_COUNT.ITEM_ID), row.get(STOCK_COUNT.BIN_ID)),
            new Quantity(measure, row.get(STOCK_COUNT.COUNTED_MICRO)),
            new Quantity(measure, row.get(STOCK_COUNT.BOOK_MICRO)),
            State.valueOf(row.get(STOCK_COUNT.STATE)),
            row.get(STOCK_COUNT.REASON),
            row.get(STOCK_COUNT.ACTOR),
            row.get(STOCK_COUNT.COUNTED_AT),
            Optional.ofNullable(row.get(STOCK_COUNT.STOCKTAKE_ID))));
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

  /** Keeps a count. */
  public void add(Count count) {
    context
        .insertInto(STOCK_COUNT)
        .set(STOCK_COUNT.ITEM_ID, count.spot().item())
        .set(STOCK_COUNT.BIN_ID, count.spot().bin())
        .set(STOCK_COUNT.COUNTED_MICRO, count.counted().millionths())
        .set(STOCK_COUNT.BOOK_MICRO, count.book().millionths())
        .set(STOCK_COUNT.STATE, count.state().name())
        .set(STOCK_COUNT.REASON, count.why())
        .set(STOCK_COUNT.ACTOR, count.actor())
        .set(STOCK_COUNT.COUNTED_AT, count.at())
        .set(STOCK_COUNT.STOCKTAKE_ID, count.stocktake().orElse(null))
        .execute();
  }

  /** What became of a count later. */
  public void setState(CountId id, State state) {
    context
        .update(STOCK_COUNT)
        .set(STOCK_COUNT.STATE, state.name())
        .where(STOCK_COUNT.ID.eq(id))
        .execute();
  }
}

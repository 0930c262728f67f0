package dev.lonja.store.supplier;

import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.PRICE_BREAK;
import static dev.lonja.store.schema.Tables.SUPPLIER;
import static dev.lonja.store.schema.Tables.SUPPLY;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.supplier.Prices;
import dev.lonja.core.supplier.Supplier;
import dev.lonja.core.supplier.SupplierId;
import dev.lonja.core.supplier.Supply;
import dev.lonja.store.query.Bound;
import dev.lonja.store.query.FixedQuery;
import java.util.Collection;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.impl.DSL;

/** Who sells which item, on which terms. */
public final class SupplyRepository {

  private static final Field<Long> LOWEST = DSL.min(SUPPLY.PRICE_E4);

  private static final FixedQuery LOWEST_PRICES =
      FixedQuery.of(
          DSL.select(SUPPLY.ITEM_ID, LOWEST)
              .from(SUPPLY)
              .where(Bound.oneOfGiven(SUPPLY.ITEM_ID))
              .groupBy(SUPPLY.ITEM_ID));

  private static final FixedQuery OF_ITEM =
      FixedQuery.of(
          DSL.select(SUPPLY.fields())
              .select(ITEM.MEASURE)
              .from(SUPPLY)
              .join(SUPPLIER)
              .on(SUPPLIER.ID.eq(SUPPLY.SUPPLIER_ID))
              .join(ITEM)
              .on(ITEM.ID.eq(SUPPLY.ITEM_ID))
              .where(SUPPLY.ITEM_ID.eq(FixedQuery.given(SUPPLY.ITEM_ID)))
              .orderBy(SUPPLY.PRICE_E4, SUPPLIER.NAME));

  private final DSLContext context;
  private final Currency currency;

  public SupplyRepository(DSLContext context, Currency currency) {
    this.context = context;
    this.currency = currency;
  }

  /** Who supplies an item, the cheapest first. */
  public List<Supply> of(ItemId itemId) {
    Map<SupplierId, Supplier> suppliers = suppliers();
    Map<Long, List<PriceRow>> breaks = breaks(SUPPLY.ITEM_ID.eq(itemId));
    return OF_ITEM.with(context, itemId).fetch(row -> supply(row, suppliers, breaks));
  }

  /** By item, who supplies it, the cheapest first; what nobody supplies is absent. */
  public Map<ItemId, List<Supply>> all() {
    Map<SupplierId, Supplier> suppliers = suppliers();
    Map<Long, List<PriceRow>> breaks = breaks(DSL.noCondition());
    return context
        .select(SUPPLY.fields())
        .select(ITEM.MEASURE)
        .from(SUPPLY)
        .join(SUPPLIER)
        .on(SUPPLIER.ID.eq(SUPPLY.SUPPLIER_ID))
        .join(ITEM)
        .on(ITEM.ID.eq(SUPPLY.ITEM_ID))
        .orderBy(SUPPLY.ITEM_ID, SUPPLY.PRICE_E4, SUPPLIER.NAME)
        .fetchGroups(SUPPLY.ITEM_ID, row -> supply(row, suppliers, breaks));
  }

  private Map<SupplierId, Supplier> suppliers() {
    return new SupplierRepository(context, currency).byId();
  }

  /** A price of one and from how much on, in millionths. */
  private record PriceRow(long from, UnitPrice price) {}

  /** By row of who supplies what. */
  private Map<Long, List<PriceRow>> breaks(Condition which) {
    return context
        .select(PRICE_BREAK.SUPPLY_ID, PRICE_BREAK.FROM_MICRO, PRICE_BREAK.PRICE_E4)
        .from(PRICE_BREAK)
        .join(SUPPLY)
        .on(SUPPLY.ID.eq(PRICE_BREAK.SUPPLY_ID))
        .where(which)
        .fetchGroups(
            PRICE_BREAK.SUPPLY_ID,
            row ->
                new PriceRow(
                    row.get(PRICE_BREAK.FROM_MICRO),
                    new UnitPrice(row.get(PRICE_BREAK.PRICE_E4), currency)));
  }

  private Supply supply(
      Record row, Map<SupplierId, Supplier> suppliers, Map<Long, List<PriceRow>> breaks) {
    Measure measure = Measure.ofSymbol(row.get(ITEM.MEASURE));
    return new Supply(
        suppliers.get(row.get(SUPPLY.SUPPLIER_ID)),
        row.get(SUPPLY.ORDER_NUMBER),
        new Prices(
            new UnitPrice(row.get(SUPPLY.PRICE_E4), currency),
            breaks.getOrDefault(row.get(SUPPLY.ID), List.of()).stream()
                .map(b -> new Prices.Break(new Quantity(measure, b.from()), b.price()))
                .toList()),
        new Quantity(measure, row.get(SUPPLY.PACK_MICRO)),
        new Quantity(measure, row.get(SUPPLY.LEAST_MICRO)));
  }

  /** The lowest price of each of these items that somebody supplies. */
  public Map<ItemId, UnitPrice> lowestPrices(Collection<ItemId> itemIds) {
    return LOWEST_PRICES
        .with(context, Bound.numbers(itemIds))
        .fetchMap(row -> row.get(SUPPLY.ITEM_ID), row -> new UnitPrice(row.get(LOWEST), currency));
  }

  /** Writes anew who supplies an item. */
  public void set(ItemId itemId, List<Supply> supplies) {
    context
        .deleteFrom(PRICE_BREAK)
        .where(
            PRICE_BREAK.SUPPLY_ID.in(
                DSL.select(SUPPLY.ID).from(SUPPLY).where(SUPPLY.ITEM_ID.eq(itemId))))
        .execute();
    context.deleteFrom(SUPPLY).where(SUPPLY.ITEM_ID.eq(itemId)).execute();
    supplies.forEach(supply -> add(itemId, supply));
  }

  private void add(ItemId itemId, Supply supply) {
    long id =
        context
            .insertInto(SUPPLY)
            .set(SUPPLY.ITEM_ID, itemId)
            .set(SUPPLY.SUPPLIER_ID, supply.supplier().id())
            .set(SUPPLY.ORDER_NUMBER, supply.orderNumber())
            .set(SUPPLY.PRICE_E4, supply.price().tenThousandthsOfMinor())
            .set(SUPPLY.PACK_MICRO, supply.pack().millionths())
            .set(SUPPLY.LEAST_MICRO, supply.least().millionths())
            .returning(SUPPLY.ID)
            .fetchSingle(SUPPLY.ID);
    for (Prices.Break each : supply.prices().breaks()) {
      context
          .insertInto(PRICE_BREAK)
          .set(PRICE_BREAK.SUPPLY_ID, id)
          .set(PRICE_BREAK.FROM_MICRO, each.from().millionths())
          .set(PRICE_BREAK.PRICE_E4, each.price().tenThousandthsOfMinor())
          .execute();
    }
  }
}

package dev.lonja.store.forecast;

import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.KEPT_FORECAST;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;

/** What was expected to be used in months, by the last forecast made before each began. */
public final class KeptForecastRepository {

  private final DSLContext context;

  public KeptForecastRepository(DSLContext context) {
    this.context = context;
  }

  /**
   * A forecast that was kept.
   *
   * @param madeOn before the month
   * @param use by item; of what is absent nothing was expected
   */
  public record Kept(LocalDate madeOn, Map<ItemId, Quantity> use) {}

  /** When the forecast of a month was made, if one was kept. */
  public Optional<LocalDate> madeOn(YearMonth month) {
    return context
        .select(DSL.max(KEPT_FORECAST.MADE_ON))
        .from(KEPT_FORECAST)
        .where(KEPT_FORECAST.MONTH_ON.eq(month.atDay(1)))
        .fetchOptional(DSL.max(KEPT_FORECAST.MADE_ON));
  }

  /** Keeps a forecast of a month in the place of an earlier one; of zero nothing is kept. */
  public void keep(YearMonth month, Kept forecast) {
    context.deleteFrom(KEPT_FORECAST).where(KEPT_FORECAST.MONTH_ON.eq(month.atDay(1))).execute();
    new TreeMap<>(forecast.use())
        .forEach(
            (item, quantity) -> {
              if (quantity.isPositive()) {
                context
                    .insertInto(KEPT_FORECAST)
                    .set(KEPT_FORECAST.MONTH_ON, month.atDay(1))
                    .set(KEPT_FORECAST.ITEM_ID, item)
                    .set(KEPT_FORECAST.MADE_ON, forecast.madeOn())
                    .set(KEPT_FORECAST.QUANTITY_MICRO, quantity.millionths())
                    .execute();
              }
            });
  }

  /** By month, all that was kept. */
  public SortedMap<YearMonth, Kept> all() {
    SortedMap<YearMonth, Kept> months = new TreeMap<>();
    context
        .select(KEPT_FORECAST.fields())
        .select(ITEM.MEASURE)
        .from(KEPT_FORECAST)
        .join(ITEM)
        .on(ITEM.ID.eq(KEPT_FORECAST.ITEM_ID))
        .orderBy(KEPT_FORECAST.ID)
        .forEach(
            row ->
                months
                    .computeIfAbsent(
                        YearMonth.from(row.get(KEPT_FORECAST.MONTH_ON)),
                        m -> new Kept(row.get(KEPT_FORECAST.MADE_ON), new HashMap<>()))
                    .use()
                    .put(
                        row.get(KEPT_FORECAST.ITEM_ID),
                        new Quantity(
                            Measure.ofSymbol(row.get(ITEM.MEASURE)),
                            row.get(KEPT_FORECAST.QUANTITY_MICRO))));
    return months;
  }
}

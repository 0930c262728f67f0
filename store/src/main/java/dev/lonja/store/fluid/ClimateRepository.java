package dev.lonja.store.fluid;

import static dev.lonja.store.schema.Tables.CLIMATE_MONTH;

import dev.lonja.core.grade.Climate;
import dev.lonja.core.quantity.Temperature;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jooq.DSLContext;

/** The temperature year of the store. */
public final class ClimateRepository {

  /** A temperate year, until the store says otherwise. */
  private static final Climate DEFAULT =
      new Climate(
          IntStream.rangeClosed(1, 12)
              .mapToObj(month -> range(month <= 3 || month >= 11 ? -100 : 0, 300))
              .toList());

  private final DSLContext context;

  public ClimateRepository(DSLContext context) {
    this.context = context;
  }

  private static Climate.MonthRange range(int lowest, int highest) {
    return new Climate.MonthRange(new Temperature(lowest), new Temperature(highest));
  }

  /** As set; empty until all twelve months are. */
  public Optional<Climate> stated() {
    List<Climate.MonthRange> months =
        context
            .selectFrom(CLIMATE_MONTH)
            .orderBy(CLIMATE_MONTH.ID)
            .fetch(
                row ->
                    range(
                        Math.toIntExact(row.get(CLIMATE_MONTH.LOWEST_TENTHS)),
                        Math.toIntExact(row.get(CLIMATE_MONTH.HIGHEST_TENTHS))));
    return months.size() == 12 ? Optional.of(new Climate(months)) : Optional.empty();
  }

  /** As set; a temperate year from −10 °C to 30 °C until it is. */
  public Climate inForce() {
    return stated().orElse(DEFAULT);
  }

  public void set(Climate climate) {
    context.deleteFrom(CLIMATE_MONTH).execute();
    long id = 0;
    for (Climate.MonthRange month : climate.months()) {
      context
          .insertInto(CLIMATE_MONTH)
          .set(CLIMATE_MONTH.ID, ++id)
          .set(CLIMATE_MONTH.LOWEST_TENTHS, (long) month.lowest().tenthsCelsius())
          .set(CLIMATE_MONTH.HIGHEST_TENTHS, (long) month.highest().tenthsCelsius())
          .execute();
    }
  }
}

package dev.lonja.core.choice;

import dev.lonja.core.forecast.Demand;
import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;

/** What the plan line takes of a product after a day; beyond the plan, at the same pace. */
public final class PlannedUse implements FutureUse {

  private static final Volume MOST = Volume.ofLitres("1000000");

  private final List<Demand> demands;
  private final LocalDate day;
  private final long horizon;

  /**
   * Use after a day.
   *
   * @param demands expected of the product, those up to the day included
   * @param lastDay of the plan; one that is not after the day leaves a day of plan
   */
  public PlannedUse(List<Demand> demands, LocalDate day, LocalDate lastDay) {
    this.demands = demands.stream().filter(demand -> demand.date().isAfter(day)).toList();
    this.day = day;
    this.horizon = Math.max(1, ChronoUnit.DAYS.between(day, lastDay));
  }

  /** Litres, at most a million; beyond the plan rounded to the microlitre, half up. */
  @Override
  public Volume within(int days) {
    LocalDate last = day.plusDays(Math.min(days, horizon));
    long microlitres =
        demands.stream()
            .filter(demand -> !demand.date().isAfter(last))
            .mapToLong(demand -> demand.quantity().atLeastZero().millionths())
            .sum();
    if (days <= horizon) {
      return new Volume(microlitres);
    }
    BigDecimal pace =
        BigDecimal.valueOf(microlitres)
            .multiply(BigDecimal.valueOf(days))
            .divide(BigDecimal.valueOf(horizon), 0, RoundingMode.HALF_UP);
    return new Volume(pace.min(BigDecimal.valueOf(MOST.microlitres())).longValueExact());
  }
}

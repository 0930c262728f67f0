package dev.lonja.core.fleet;

import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterValue;
import java.time.LocalDate;
import java.util.Optional;

/**
 * What one meter is expected to stand at on a day: its base value plus the rate times the effective
 * days since. The base is the last accepted reading, else the value at the start of service.
 *
 * @param rate empty if nothing is known; the life then stays at the base value
 */
public record MeterOutlook(
    LocalDate baseDay, MeterValue base, Optional<UsageRate> rate, UsageCalendar calendar) {

  public MeterMeasure measure() {
    return base.measure();
  }

  /** The life expected on {@code day}; on days up to the base day it is the base value. */
  public ExpectedLife on(LocalDate day) {
    return rate.map(r -> ExpectedLife.after(base, r, calendar.between(baseDay, day)))
        .orElse(ExpectedLife.of(base));
  }

  /**
   * The first day, not before {@code from} and not after {@code until}, on which the expected life
   * reaches {@code limit}; empty if there is none. Costs one step a day.
   */
  public Optional<LocalDate> firstDayReaching(MeterValue limit, LocalDate from, LocalDate until) {
    if (on(from).reaches(limit)) {
      return Optional.of(from);
    }
    if (rate.isEmpty() || rate.get().isStandingStill()) {
      return Optional.empty();
    }
    long tau = calendar.between(baseDay, from).tenThousandths();
    for (LocalDate day = from.plusDays(1); !day.isAfter(until); day = day.plusDays(1)) {
      tau += day.isAfter(baseDay) ? calendar.factorOn(day) : 0;
      if (ExpectedLife.after(base, rate.get(), new EffectiveDays(tau)).reaches(limit)) {
        return Optional.of(day);
      }
    }
    return Optional.empty();
  }
}

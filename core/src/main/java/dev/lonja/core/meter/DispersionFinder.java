package dev.lonja.core.meter;

import dev.lonja.core.calendar.EffectiveDays;
import dev.lonja.core.calendar.UsageCalendar;
import dev.lonja.core.quantity.MeterMeasure;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Finds φ from the readings that the rate used, thinned from the oldest so that neighbours lie at
 * least 5 days apart: the mean over neighbours with τ above zero of (Δvalue − rate·τ)² / (rate·τ).
 * Our derivation: for a Gamma process the expectation of each term is φ.
 */
final class DispersionFinder {

  private static final int LEAST_DAYS_APART = 5;
  private static final int LEAST_NEIGHBOURS = 3;

  private DispersionFinder() {}

  /** Empty with fewer than 3 usable neighbours, or for a rate of zero. */
  static Optional<Dispersion> fromReadings(
      List<LifePoint> usedByRate, UsageCalendar calendar, UsageRate rate) {
    if (rate.isStandingStill()) {
      return Optional.empty();
    }
    double sum = 0;
    int count = 0;
    List<LifePoint> thinned = thinned(usedByRate);
    for (int i = 1; i < thinned.size(); i++) {
      LifePoint before = thinned.get(i - 1);
      LifePoint after = thinned.get(i);
      EffectiveDays tau = calendar.between(before.day(), after.day());
      if (tau.isPositive()) {
        double mean = rate.perDay() * tau.days();
        double off = after.life().since(before.life()).tenths() / 10.0 - mean;
        sum += off * off / mean;
        count++;
      }
    }
    return count < LEAST_NEIGHBOURS
        ? Optional.empty()
        : Optional.of(Dispersion.of(sum / count, rate.measure()));
  }

  /** The median of a class's dispersions from readings, else one day's use. */
  static Dispersion otherwise(List<Dispersion> classmates, UsageRate rate) {
    MeterMeasure measure = rate.measure();
    double[] values =
        classmates.stream()
            .filter(dispersion -> dispersion.measure() == measure)
            .mapToDouble(Dispersion::value)
            .toArray();
    OptionalDouble median =
        values.length == 0 ? OptionalDouble.empty() : OptionalDouble.of(RateFinder.median(values));
    return Dispersion.of(median.orElse(rate.perDay()), measure);
  }

  private static List<LifePoint> thinned(List<LifePoint> readings) {
    List<LifePoint> kept = new ArrayList<>();
    LocalDate next = LocalDate.MIN;
    for (LifePoint reading : readings) {
      if (!reading.day().isBefore(next)) {
        kept.add(reading);
        next = reading.day().plusDays(LEAST_DAYS_APART);
      }
    }
    return kept;
  }
}

package dev.lonja.core.meter;

import dev.lonja.core.calendar.EffectiveDays;
import dev.lonja.core.calendar.UsageBurst;
import dev.lonja.core.calendar.UsageCalendar;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterValue;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.function.Predicate;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.sampling.distribution.AhrensDieterMarsagliaTsangGammaSampler;
import org.apache.commons.rng.sampling.distribution.ContinuousSampler;
import org.apache.commons.statistics.distribution.GammaDistribution;

/**
 * What one meter is expected to stand at on a day: its base value plus the rate times the effective
 * days since. The base is the last accepted reading, else the value at the start of service.
 *
 * @param rate empty if nothing is known; the life then stays at the base value
 * @param dispersion how unevenly it runs; present exactly if there is a rate above zero
 * @param burst a what-if that takes the place of rate and months on its days
 * @param offset how far life lies beyond what the meter in place shows
 */
public record MeterOutlook(
    LocalDate baseDay,
    MeterValue base,
    Optional<UsageRate> rate,
    Optional<Dispersion> dispersion,
    UsageCalendar calendar,
    Optional<UsageBurst> burst,
    MeterOffset offset) {

  /**
   * What a meter runs over some days (rules §5), in hours or kilometres: Gamma distributed with
   * this mean and the variance dispersion × mean, cut at the most that so many days allow, and what
   * a what-if adds without any chance.
   *
   * @param mean zero or more
   * @param dispersion φ, above zero
   * @param fixed what a burst adds, zero or more
   * @param most 24 h or 1,500 km for each of the days
   */
  public record Usage(double mean, double dispersion, double fixed, double most) {

    /** What of it runs by chance, drawn one after the other, not cut; empty if nothing does. */
    public Optional<ContinuousSampler> gamma(UniformRandomProvider random) {
      return mean > 0
          ? Optional.of(
              AhrensDieterMarsagliaTsangGammaSampler.of(random, mean / dispersion, dispersion))
          : Optional.empty();
    }

    /** What it runs without any chance. */
    public double expected() {
      return mean + fixed;
    }
  }

  /** Without a burst, and of a meter that was never exchanged. */
  public MeterOutlook(
      LocalDate baseDay,
      MeterValue base,
      Optional<UsageRate> rate,
      Optional<Dispersion> dispersion,
      UsageCalendar calendar) {
    this(baseDay, base, rate, dispersion, calendar, Optional.empty(), MeterOffset.NONE);
  }

  /** The same meter if it ran like this for a while; a burst of another measure is refused. */
  public MeterOutlook with(UsageBurst what) {
    if (what.perDay().measure() != measure()) {
      throw new IllegalArgumentException(
          "measure is " + what.perDay().measure().symbol() + "; allowed is " + measure().symbol());
    }
    return new MeterOutlook(baseDay, base, rate, dispersion, calendar, Optional.of(what), offset);
  }

  public MeterMeasure measure() {
    return base.measure();
  }

  /** The life expected on {@code day}; on days up to the base day it is the base value. */
  public ExpectedLife on(LocalDate day) {
    ExpectedLife steady =
        rate.map(r -> ExpectedLife.after(base, r, steadyDays(day)))
            .orElseGet(() -> ExpectedLife.of(base));
    return burst.isPresent() ? steady.plusTenths(burstTenths(day)) : steady;
  }

  private EffectiveDays steadyDays(LocalDate day) {
    return burst
        .map(b -> b.restOf(calendar, baseDay, day))
        .orElseGet(() -> calendar.between(baseDay, day));
  }

  private long burstTenths(LocalDate day) {
    return burst.map(b -> b.tenthsBetween(baseDay, day)).orElse(0L);
  }

  /**
   * How much it may run on the days a &lt; d ≤ b, of which those up to the base day count for
   * nothing.
   */
  public Usage usage(LocalDate a, LocalDate b) {
    LocalDate from = a.isBefore(baseDay) ? baseDay : a;
    LocalDate to = b.isBefore(from) ? from : b;
    double steady = steadyDays(to).days() - steadyDays(from).days();
    long days = ChronoUnit.DAYS.between(from, to);
    return new Usage(
        rate.map(r -> r.perDay() * steady).orElse(0.0),
        dispersion.map(Dispersion::value).orElse(1.0),
        (burstTenths(to) - burstTenths(from)) / 10.0,
        days * measure().highestPerDay().tenths() / 10.0);
  }

  /**
   * The probability that the life reaches {@code limit} by the end of {@code day}: usage since the
   * base day is Gamma distributed with mean rate × τ and variance φ × rate × τ, so its shape is
   * rate × τ / φ and its scale φ. The limit of 24 h (1,500 km) a day is left aside. 1 if the base
   * value reaches the limit, 0 if nothing can be said or nothing runs by then.
   */
  public double chanceOfReaching(MeterValue limit, LocalDate day) {
    long remaining = limit.tenths() - base.tenths() - burstTenths(day);
    if (remaining <= 0) {
      return 1;
    }
    double mean = rate.map(r -> r.perDay() * steadyDays(day).days()).orElse(0.0);
    return mean > 0 ? chance(remaining / 10.0, mean) : 0;
  }

  private double chance(double remaining, double mean) {
    double phi = dispersion.orElseThrow().value();
    return GammaDistribution.of(mean / phi, phi).survivalProbability(remaining);
  }

  /**
   * The first day from {@code from} to {@code until} by which the limit is reached with at least
   * this probability; empty if there is none. The probability never falls, so days are halved.
   */
  public Optional<LocalDate> dayOfChance(
      MeterValue limit, double probability, LocalDate from, LocalDate until) {
    return firstDay(from, until, day -> chanceOfReaching(limit, day) >= probability);
  }

  /**
   * The first day, not before {@code from} and not after {@code until}, on which the expected life
   * reaches {@code limit}; empty if there is none. The life never falls, so days are halved.
   */
  public Optional<LocalDate> firstDayReaching(ExpectedLife limit, LocalDate from, LocalDate until) {
    return on(from).reaches(limit)
        ? Optional.of(from)
        : firstDay(from, until, day -> on(day).reaches(limit));
  }

  /** The first day that holds, of days on which what held once holds on; they are halved. */
  private static Optional<LocalDate> firstDay(
      LocalDate from, LocalDate until, Predicate<LocalDate> holds) {
    if (until.isBefore(from) || !holds.test(until)) {
      return Optional.empty();
    }
    LocalDate low = from;
    LocalDate high = until;
    while (low.isBefore(high)) {
      LocalDate middle = low.plusDays(ChronoUnit.DAYS.between(low, high) / 2);
      if (holds.test(middle)) {
        high = middle;
      } else {
        low = middle.plusDays(1);
      }
    }
    return Optional.of(low);
  }
}

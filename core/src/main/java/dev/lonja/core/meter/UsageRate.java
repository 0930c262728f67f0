package dev.lonja.core.meter;

import dev.lonja.core.calendar.EffectiveDays;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.PlainDecimal;
import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * How much a meter runs per effective day, held in billionths of an hour or kilometre, zero or
 * more, with where the figure comes from. A rate of zero is a machine that stands still.
 */
public record UsageRate(long billionthsPerDay, MeterMeasure measure, Source source) {

  private static final double BILLION = 1e9;

  /** Where a rate comes from, the best source first. */
  public enum Source {
    /** Median slope of the readings of the last year. */
    READINGS,
    /** Mean over the year, since a few stretches carry most of the use. */
    BURSTY_READINGS,
    /** Declared for the machine, for want of readings. */
    DECLARED,
    /** Median of the machines of its class, for want of anything else. */
    CLASS_MEDIAN
  }

  public UsageRate {
    if (!(billionthsPerDay >= 0)) {
      throw new IllegalArgumentException(
          "billionthsPerDay is " + billionthsPerDay + "; allowed is 0 or more");
    }
  }

  /**
   * {@code perDay} hours or kilometres, rounded half up to a billionth; a negative one is refused.
   */
  static UsageRate ofPerDay(double perDay, MeterMeasure measure, Source source) {
    return new UsageRate(Math.round(perDay * BILLION), measure, source);
  }

  /** A rate stated by a person, rounded half up to a billionth; a negative one is refused. */
  public static UsageRate declared(BigDecimal perDay, MeterMeasure measure) {
    long billionths = perDay.movePointRight(9).setScale(0, RoundingMode.HALF_UP).longValueExact();
    return new UsageRate(billionths, measure, Source.DECLARED);
  }

  public boolean isStandingStill() {
    return billionthsPerDay == 0;
  }

  /** Hours or kilometres run in so many effective days, exact. */
  public BigDecimal over(EffectiveDays tau) {
    return BigDecimal.valueOf(billionthsPerDay, 9)
        .multiply(BigDecimal.valueOf(tau.tenThousandths(), 4));
  }

  double perDay() {
    return billionthsPerDay / BILLION;
  }

  /** The figure alone, exact: what a form shows and reads back. */
  public String exactText() {
    return PlainDecimal.of(BigDecimal.valueOf(billionthsPerDay, 9));
  }

  /** "3.50 h a day". */
  public String display() {
    return BigDecimal.valueOf(billionthsPerDay, 9).setScale(2, RoundingMode.HALF_UP)
        + " "
        + measure.symbol()
        + " a day";
  }
}

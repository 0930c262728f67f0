package dev.lonja.core.inspection;

import dev.lonja.core.quantity.Limits;
import dev.lonja.core.quantity.MeterValue;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Where the values of an inspection are heading: the median of the slopes between all pairs (Theil
 * and Sen, as in {@link dev.lonja.core.meter.RateFinder}), drawn on from the last value until it
 * meets the limit it runs towards. It says about when; no date rests on it (rules, <i>Inspection
 * with a value</i>).
 */
public final class ValueTrend {

  private static final int LEAST_LIVES = 3;
  private static final BigDecimal FURTHEST = BigDecimal.valueOf(10L * Limits.METER);

  private ValueTrend() {}

  /** One inspection at a life of the machine. */
  public record Checked(MeterValue life, Found found) {}

  /** One value at a life of the machine. */
  public record Point(MeterValue life, InspectedValue value) {}

  /** A limit that the values run towards, and the life at which they meet it, rounded up. */
  public record Ahead(MeterValue life, InspectedValue limit) {}

  /**
   * The values that tell of the present state: those since something was last replaced, adjusted or
   * cleaned, the value after it included.
   *
   * @param checks in the order in which they were made
   */
  public static List<Point> sinceRemedy(List<Checked> checks) {
    List<Point> points = new ArrayList<>();
    for (Checked check : checks) {
      Found found = check.found();
      if (found.outcome().isRemedy()) {
        points.clear();
      }
      Optional<InspectedValue> met = found.outcome().isRemedy() ? found.after() : found.value();
      met.ifPresent(value -> points.add(new Point(check.life(), value)));
    }
    return points;
  }

  /**
   * The limit that is about to be reached, and at which life. Empty with values at fewer than three
   * lives, for one that stands still or runs away from its only limit, for one outside already, and
   * where no meter would show that life.
   *
   * @param points in order of life
   */
  public static Optional<Ahead> ahead(List<Point> points, ValueLimits limits) {
    if (points.stream().map(Point::life).distinct().count() < LEAST_LIVES) {
      return Optional.empty();
    }
    Point last = points.get(points.size() - 1);
    BigDecimal slope = median(slopes(points));
    Optional<InspectedValue> limit =
        switch (slope.signum()) {
          case 1 -> limits.high();
          case -1 -> limits.low();
          default -> Optional.empty();
        };
    return limit.filter(end -> limits.hold(last.value())).flatMap(end -> meets(last, slope, end));
  }

  private static Optional<Ahead> meets(Point last, BigDecimal slope, InspectedValue limit) {
    BigDecimal way = BigDecimal.valueOf(limit.base() - last.value().base());
    BigDecimal life =
        way.divide(slope, 0, RoundingMode.CEILING).add(BigDecimal.valueOf(last.life().tenths()));
    return life.compareTo(FURTHEST) > 0
        ? Optional.empty()
        : Optional.of(
            new Ahead(new MeterValue(life.longValueExact(), last.life().measure()), limit));
  }

  private static List<BigDecimal> slopes(List<Point> points) {
    List<BigDecimal> slopes = new ArrayList<>();
    for (int i = 0; i < points.size(); i++) {
      for (int j = i + 1; j < points.size(); j++) {
        long ran = points.get(j).life().tenths() - points.get(i).life().tenths();
        if (ran != 0) {
          BigDecimal change =
              BigDecimal.valueOf(points.get(j).value().base() - points.get(i).value().base());
          slopes.add(change.divide(BigDecimal.valueOf(ran), MathContext.DECIMAL128));
        }
      }
    }
    return slopes;
  }

  private static BigDecimal median(List<BigDecimal> slopes) {
    List<BigDecimal> sorted = slopes.stream().sorted().toList();
    BigDecimal upper = sorted.get(sorted.size() / 2);
    BigDecimal lower = sorted.get((sorted.size() - 1) / 2);
    return upper.add(lower).divide(BigDecimal.valueOf(2), MathContext.DECIMAL128);
  }
}

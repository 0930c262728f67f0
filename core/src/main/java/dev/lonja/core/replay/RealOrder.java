package dev.lonja.core.replay;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;

/**
 * A real order and the day on which the first of it came.
 *
 * @param cameOn on or after {@code sentOn}
 */
public record RealOrder(LocalDate sentOn, LocalDate cameOn) {

  private long days() {
    return ChronoUnit.DAYS.between(sentOn, cameOn);
  }

  /**
   * How long an order of a day would have taken, in days: as long as the first real order that was
   * sent on or after it; if there was none, the mean of those that had come by then, rounded up; if
   * none had, as quoted. At least one.
   *
   * @param orders of the same supplier
   */
  public static int leadDays(List<RealOrder> orders, LocalDate day, int quoted) {
    List<RealOrder> before = orders.stream().filter(o -> !o.cameOn().isAfter(day)).toList();
    long days =
        orders.stream()
            .filter(order -> !order.sentOn().isBefore(day))
            .min(Comparator.comparing(RealOrder::sentOn).thenComparing(RealOrder::cameOn))
            .map(RealOrder::days)
            .orElseGet(() -> before.isEmpty() ? quoted : mean(before));
    return (int) Math.max(1, days);
  }

  private static long mean(List<RealOrder> orders) {
    long sum = orders.stream().mapToLong(RealOrder::days).sum();
    return BigDecimal.valueOf(sum)
        .divide(BigDecimal.valueOf(orders.size()), 0, RoundingMode.CEILING)
        .longValueExact();
  }
}

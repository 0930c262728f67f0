package dev.lonja.core.reorder;

import dev.lonja.core.supplier.Deliveries;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;

/** When orders of the coming days arrive, in days from today; every day is worked out once. */
final class Arrivals {

  private final int[] counted;
  private final int[] landed;

  /**
   * @param lastOrder the latest order that is asked for, in days from today
   * @param longestLead the longest lead time that is asked for, in days
   */
  Arrivals(Deliveries deliveries, LocalDate today, int lastOrder, int longestLead) {
    counted = new int[lastOrder + 1];
    for (int day = 0; day < counted.length; day++) {
      counted[day] = between(today, deliveries.counted(today.plusDays(day)));
    }
    landed = new int[counted[lastOrder] + longestLead + 1];
    for (int day = 0; day < landed.length; day++) {
      landed[day] = between(today, deliveries.arrival(today.plusDays(day)));
    }
  }

  private static int between(LocalDate today, LocalDate day) {
    return (int) ChronoUnit.DAYS.between(today, day);
  }

  /** The arrival of an order of so many days from now, after so many days of lead time. */
  int of(int ordered, int leadDays) {
    return landed[counted[ordered] + leadDays];
  }
}

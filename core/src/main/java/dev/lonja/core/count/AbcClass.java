package dev.lonja.core.count;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Money;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * How often something is counted, by what is used of it in a year (rules §12): the few things that
 * make up most of the value more often than the many that make up the rest.
 */
public enum AbcClass {
  A(30),
  B(90),
  C(180);

  private static final int A_PERCENT = 80;
  private static final int B_PERCENT = 95;
  private static final int WHOLE = 100;

  private final int days;

  AbcClass(int days) {
    this.days = days;
  }

  /** Days from one count to the next. */
  public int days() {
    return days;
  }

  /**
   * By item: A while the share of what comes before it is below 80 %, B below 95 %, else C. What is
   * not used is C, and absent from the answer.
   *
   * @param used what was used of each in a year, at cost, all in one currency
   */
  public static Map<ItemId, AbcClass> of(Map<ItemId, Money> used) {
    List<Map.Entry<ItemId, Money>> dearestFirst =
        used.entrySet().stream()
            .filter(entry -> entry.getValue().minor() > 0)
            .sorted(
                Comparator.comparing((Map.Entry<ItemId, Money> e) -> -e.getValue().minor())
                    .thenComparing(Map.Entry::getKey))
            .toList();
    long all = dearestFirst.stream().mapToLong(entry -> entry.getValue().minor()).sum();
    Map<ItemId, AbcClass> classes = new HashMap<>();
    long before = 0;
    for (Map.Entry<ItemId, Money> entry : dearestFirst) {
      classes.put(entry.getKey(), of(before, all));
      before += entry.getValue().minor();
    }
    return classes;
  }

  private static AbcClass of(long before, long all) {
    if (before * WHOLE < A_PERCENT * all) {
      return A;
    }
    return before * WHOLE < B_PERCENT * all ? B : C;
  }
}

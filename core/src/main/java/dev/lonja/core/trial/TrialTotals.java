package dev.lonja.core.trial;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Measure;
import java.util.Collection;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;

/**
 * What all units use together, by item, trial and week, in whole thousandths, so that nothing
 * depends on the order in which units or trials are drawn. Different trials may be written by
 * different threads; one trial by one at a time.
 */
public final class TrialTotals implements TrialSink {

  private final TrialRules rules;
  private final Map<ItemId, int[]> used = new ConcurrentHashMap<>();

  public TrialTotals(TrialRules rules) {
    this.rules = rules;
  }

  public TrialRules rules() {
    return rules;
  }

  @Override
  public void take(UnitId unit, ItemId item, int trial, int week, long thousandths) {
    add(item, trial, week, thousandths);
  }

  /** Adds what one trial uses of an item in a week; a sum beyond two million fails. */
  public void add(ItemId item, int trial, int week, long thousandths) {
    int[] cells = used.computeIfAbsent(item, i -> new int[rules.trials() * rules.weeks()]);
    int cell = trial * rules.weeks() + week;
    cells[cell] = Math.toIntExact(cells[cell] + thousandths);
  }

  /** What any trial uses. */
  public Set<ItemId> items() {
    return new TreeSet<>(used.keySet());
  }

  /**
   * Of several items together, which are counted alike, what is used up to the end of each week.
   */
  public Band band(Collection<ItemId> items, Measure measure) {
    long[][] byWeek = new long[rules.weeks()][rules.trials()];
    for (ItemId item : items) {
      int[] cells = used.get(item);
      for (int trial = 0; cells != null && trial < rules.trials(); trial++) {
        long sum = 0;
        for (int week = 0; week < rules.weeks(); week++) {
          sum += cells[trial * rules.weeks() + week];
          byWeek[week][trial] += sum;
        }
      }
    }
    return new Band(measure, byWeek);
  }
}

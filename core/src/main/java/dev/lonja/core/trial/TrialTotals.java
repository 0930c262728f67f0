package dev.lonja.core.trial;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Measure;
import java.util.Collection;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * What all units use together, by item, trial and week, in whole thousandths, so that nothing
 * depends on the order in which units or trials are drawn. Different trials may be written by
 * different threads; one trial by one at a time. Read once nobody writes any more.
 */
public final class TrialTotals implements TrialSink {

  private final TrialRules rules;
  private final Map<ItemId, int[]> before;
  private final Map<ItemId, int[]> used = new ConcurrentHashMap<>();

  public TrialTotals(TrialRules rules) {
    this(rules, Map.of());
  }

  private TrialTotals(TrialRules rules, Map<ItemId, int[]> before) {
    this.rules = rules;
    this.before = before;
  }

  /** The same to go on with; these stay as they are. Of what does not change nothing is copied. */
  public TrialTotals goOn() {
    Map<ItemId, int[]> all = new ConcurrentHashMap<>(before);
    all.putAll(used);
    return new TrialTotals(rules, all);
  }

  public TrialRules rules() {
    return rules;
  }

  /** Adds to what one trial uses of an item in a week; a sum beyond two million fails. */
  @Override
  public void take(ItemId item, int trial, int week, long thousandths) {
    int[] known = used.get(item);
    int[] cells = known == null ? used.computeIfAbsent(item, this::begin) : known;
    int cell = trial * rules.weeks() + week;
    cells[cell] = Math.toIntExact(cells[cell] + thousandths);
  }

  @Override
  public Column column(ItemId item) {
    int[] cells = used.computeIfAbsent(item, this::begin);
    int weeks = rules.weeks();
    return (trial, week, thousandths) -> {
      int cell = trial * weeks + week;
      cells[cell] = Math.toIntExact(cells[cell] + thousandths);
    };
  }

  private int[] begin(ItemId item) {
    int[] known = before.get(item);
    return known == null ? new int[rules.trials() * rules.weeks()] : known.clone();
  }

  /**
   * Of several items together, which are counted alike, what is used up to the end of each week.
   */
  public Band band(Collection<ItemId> items, Measure measure) {
    long[][] byWeek = new long[rules.weeks()][rules.trials()];
    add(items, 1, byWeek);
    return new Band(rules, measure, byWeek);
  }

  /**
   * Adds what is used up to the end of each week to what stands there.
   *
   * @param sign 1, or -1 to take it off
   * @param byWeek for no more weeks than these totals have
   */
  void add(Collection<ItemId> items, int sign, long[][] byWeek) {
    for (ItemId item : items) {
      int[] cells = used.getOrDefault(item, before.get(item));
      for (int trial = 0; cells != null && trial < rules.trials(); trial++) {
        long sum = 0;
        for (int week = 0; week < byWeek.length; week++) {
          sum += sign * (long) cells[trial * rules.weeks() + week];
          byWeek[week][trial] += sum;
        }
      }
    }
  }
}

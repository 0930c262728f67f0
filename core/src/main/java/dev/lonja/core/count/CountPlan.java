package dev.lonja.core.count;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What is to be counted today (rules §12). */
public final class CountPlan {

  /** At most so many bins a day, those counted already included. */
  public static final int BINS_A_DAY = 12;

  private CountPlan() {}

  /**
   * Something that lies in a bin or belongs there.
   *
   * @param walk the bin's place on the walk
   * @param name by which things of one bin are in order
   * @param last when it was counted last; empty if it never was
   */
  public record Kept(
      ItemId item, BinId bin, int walk, String name, AbcClass abc, Optional<LocalDate> last) {

    /** The day it is due again; what was never counted is due before all else. */
    public LocalDate due() {
      return last.map(day -> day.plusDays(abc.days())).orElse(LocalDate.MIN);
    }

    private boolean isDue(LocalDate today) {
      return !due().isAfter(today);
    }
  }

  /**
   * Today's list in walking order, within a bin by name: of the bins with something due, those that
   * wait longest.
   *
   * @param countedToday bins in which something was counted today
   */
  public static List<Kept> today(
      List<Kept> kept, Set<BinId> countedToday, LocalDate today, int mostBins) {
    Map<BinId, LocalDate> waiting = new HashMap<>();
    for (Kept one : kept) {
      if (one.isDue(today)) {
        waiting.merge(one.bin(), one.due(), (a, b) -> a.isBefore(b) ? a : b);
      }
    }
    Map<BinId, Integer> walk = new HashMap<>();
    kept.forEach(one -> walk.put(one.bin(), one.walk()));
    Set<BinId> chosen = new HashSet<>();
    waiting.entrySet().stream()
        // who began a bin today finishes it first
        .sorted(
            Comparator.comparing(
                    (Map.Entry<BinId, LocalDate> e) -> !countedToday.contains(e.getKey()))
                .thenComparing(Map.Entry::getValue)
                .thenComparing(entry -> walk.get(entry.getKey())))
        .map(Map.Entry::getKey)
        .filter(bin -> countedToday.contains(bin) || fits(chosen, countedToday, mostBins))
        .forEach(chosen::add);
    List<Kept> list = new ArrayList<>();
    kept.stream()
        .filter(one -> chosen.contains(one.bin()) && one.isDue(today))
        .sorted(
            Comparator.comparing(Kept::walk).thenComparing(Kept::name).thenComparing(Kept::item))
        .forEach(list::add);
    return list;
  }

  private static boolean fits(Set<BinId> chosen, Set<BinId> countedToday, int mostBins) {
    long further = chosen.stream().filter(bin -> !countedToday.contains(bin)).count();
    return countedToday.size() + further < mostBins;
  }
}

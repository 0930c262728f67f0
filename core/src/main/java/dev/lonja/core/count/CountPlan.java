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
import java.util.stream.Collectors;

/** What is to be counted today (rules §12). */
public final class CountPlan {

  /** At most so many bins a day, those counted already included, unless the store says so. */
  public static final int BINS_A_DAY = 12;

  /** The most that a store may say. */
  public static final int MOST_BINS_A_DAY = 500;

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
    return walked(
        kept.stream().filter(one -> chosen.contains(one.bin()) && one.isDue(today)).toList());
  }

  /** In walking order, within a bin by name. */
  private static List<Kept> walked(List<Kept> kept) {
    return kept.stream()
        .sorted(
            Comparator.comparing(Kept::walk).thenComparing(Kept::name).thenComparing(Kept::item))
        .toList();
  }

  /**
   * The next of what is still to be counted of a whole store: whole bins in walking order from one
   * bin on and round to it again.
   *
   * @param from where on the walk to begin
   */
  public static List<Kept> next(List<Kept> left, int from, int mostBins) {
    List<Kept> walked = walked(left);
    List<Kept> turned = new ArrayList<>(walked.stream().filter(one -> one.walk() >= from).toList());
    walked.stream().filter(one -> one.walk() < from).forEach(turned::add);
    Set<BinId> bins =
        turned.stream()
            .map(Kept::bin)
            .distinct()
            .limit(mostBins)
            .collect(Collectors.toUnmodifiableSet());
    return turned.stream().filter(one -> bins.contains(one.bin())).toList();
  }

  private static boolean fits(Set<BinId> chosen, Set<BinId> countedToday, int mostBins) {
    long further = chosen.stream().filter(bin -> !countedToday.contains(bin)).count();
    return countedToday.size() + further < mostBins;
  }
}

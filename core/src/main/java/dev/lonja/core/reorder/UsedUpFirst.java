package dev.lonja.core.reorder;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What is used up before anything is ordered (rules §8): free stock, above its own level, of what
 * fits wherever the thing goes that falls short. Each piece counts for one thing only.
 *
 * @param byShort by thing that falls short, how much of what else; what gets nothing is absent
 */
public record UsedUpFirst(Map<ItemId, Map<ItemId, Quantity>> byShort) {

  /**
   * A thing that falls short.
   *
   * @param lacking how much would be ordered otherwise, before packs and least amounts
   * @param others what fits everywhere in its place, the best first
   */
  public record Lacking(ItemId item, Quantity lacking, List<ItemId> others) {
    public Lacking {
      others = List.copyOf(others);
    }
  }

  public UsedUpFirst {
    byShort = Map.copyOf(byShort);
  }

  /**
   * Gives out what can be spared.
   *
   * @param inOrder the first to run short first
   * @param spare what of each thing is free above its own level; absent means nothing
   */
  public static UsedUpFirst of(List<Lacking> inOrder, Map<ItemId, Quantity> spare) {
    Map<ItemId, Quantity> left = new HashMap<>(spare);
    Map<ItemId, Map<ItemId, Quantity>> byShort = new LinkedHashMap<>();
    for (Lacking one : inOrder) {
      Map<ItemId, Quantity> given = new LinkedHashMap<>();
      Quantity still = one.lacking();
      for (ItemId other : one.others()) {
        Quantity taken = left.getOrDefault(other, Quantity.zero(still.measure())).min(still);
        if (taken.isPositive()) {
          given.put(other, taken);
          left.merge(other, taken.negated(), Quantity::plus);
          still = still.minus(taken);
        }
      }
      if (!given.isEmpty()) {
        byShort.put(one.item(), given);
      }
    }
    return new UsedUpFirst(byShort);
  }

  /** What is used up before one thing is ordered, in order. */
  public Map<ItemId, Quantity> before(ItemId item) {
    return byShort.getOrDefault(item, Map.of());
  }
}

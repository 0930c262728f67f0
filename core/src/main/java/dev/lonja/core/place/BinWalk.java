package dev.lonja.core.place;

import java.util.Comparator;
import java.util.List;

/** The order in which the bins of a store are walked. */
public final class BinWalk {

  private BinWalk() {}

  /**
   * A bin with the place that somebody gives it.
   *
   * @param was its place on the walk until now, from 1
   * @param wanted the place it is to have, from 1; places may be left out or given twice
   */
  public record Placed(BinId bin, int was, int wanted) {}

  /**
   * The walk in its new order: by the places wanted. Of several that want one place, those that
   * were moved there go before the one that stood there.
   */
  public static List<BinId> of(List<Placed> placed) {
    return placed.stream()
        .sorted(
            Comparator.comparing(Placed::wanted)
                .thenComparing(one -> one.wanted() == one.was())
                .thenComparing(Placed::was))
        .map(Placed::bin)
        .toList();
  }
}

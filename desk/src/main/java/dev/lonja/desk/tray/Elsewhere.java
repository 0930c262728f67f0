package dev.lonja.desk.tray;

import dev.lonja.core.item.Item;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.tray.TrayProgress;
import java.math.RoundingMode;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;

/**
 * Another place of the store that has what a tray lacks, and may be asked before anybody buys it.
 *
 * @param amount what it can give of what is lacking
 * @param free all that is free there
 */
public record Elsewhere(Place place, String name, Quantity amount, Quantity free) {

  /**
   * The main store before any satellite; empty if nothing of it is free anywhere else.
   *
   * @param free by place, what is spoken for by nobody
   * @param item that the line lacks; a fluid is carried in whole packs
   */
  static Optional<Elsewhere> of(
      SortedMap<Place, String> names,
      Map<Place, Map<StockKey, Quantity>> free,
      Place here,
      TrayProgress.Step step,
      Item item) {
    StockKey wanted = StockKey.ofNew(step.line().itemId());
    Quantity none = Quantity.zero(step.lacking().measure());
    for (Map.Entry<Place, String> place : names.entrySet()) {
      Quantity there = free.getOrDefault(place.getKey(), Map.of()).getOrDefault(wanted, none);
      Quantity given = inPacks(step.lacking(), item).min(there);
      if (!place.getKey().equals(here) && given.isPositive()) {
        return Optional.of(new Elsewhere(place.getKey(), place.getValue(), given, there));
      }
    }
    return Optional.empty();
  }

  private static Quantity inPacks(Quantity lacking, Item item) {
    return item.pack()
        .map(pack -> pack.times(lacking.amount().divide(pack.amount(), 0, RoundingMode.UP)))
        .orElse(lacking);
  }
}

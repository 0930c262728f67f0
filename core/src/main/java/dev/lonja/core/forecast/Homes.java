package dev.lonja.core.forecast;

import dev.lonja.core.place.Place;
import java.util.Map;

/**
 * Where demand falls (rules §8, <i>Places</i>): at the home of the machine that it is for, and what
 * is used beside services where it was used. Everything else falls at the main store.
 *
 * @param byUnit by code, the home of each machine; absent means the main store
 */
public record Homes(Map<String, Place> byUnit) {

  public Homes {
    byUnit = Map.copyOf(byUnit);
  }

  /** Where a demand falls. */
  public Place of(Demand demand) {
    return demand instanceof UnplannedDemand unplanned
        ? unplanned.use().place()
        : demand.unitCode().map(this::of).orElse(Place.MAIN);
  }

  /** Where what a machine uses falls, by its code. */
  public Place of(String unitCode) {
    return byUnit.getOrDefault(unitCode, Place.MAIN);
  }
}

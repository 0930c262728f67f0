package dev.lonja.core.item;

/** What kind of thing an item is. */
public enum Family {
  OIL_FILTER("oil filter"),
  FUEL_FILTER("fuel filter"),
  AIR_FILTER("air filter"),
  CABIN_FILTER("cabin filter"),
  HYDRAULIC_FILTER("hydraulic filter"),
  SEAL("washer"),
  DRAIN_PLUG("drain plug"),
  O_RING("O-ring"),
  FLUID("fluid"),
  BELT("belt"),
  SPARK_PLUG("spark plug"),
  CONSUMABLE("consumable");

  private final String words;

  Family(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}

package dev.lonja.core.item;

/** What it means if an item is not there when it is wanted (rules §8). */
public enum Criticality {
  STOPS_THE_UNIT("stops the unit", 0.98),
  NORMAL("normal", 0.95),
  CONVENIENCE("convenience", 0.85);

  private final String words;
  private final double service;

  Criticality(String words, double service) {
    this.words = words;
    this.service = service;
  }

  public String words() {
    return words;
  }

  /** The share of cases in which it is to be there. */
  public double service() {
    return service;
  }
}

package dev.lonja.core.mixture;

/** What keeps a mixture from freezing; its general freeze points are public reference data. */
public enum Glycol {
  ETHYLENE("ethylene glycol"),
  PROPYLENE("propylene glycol");

  private final String words;

  Glycol(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}

package dev.lonja.core.fleet;

/** The state in which a compartment takes a stated amount. */
public enum FillCondition {
  /** Never filled or taken apart. */
  DRY("dry"),
  /** Drained, and its filter changed with it. */
  WITH_FILTER("drain with filter"),
  /** Drained, its filter left in place. */
  WITHOUT_FILTER("drain without filter");

  private final String words;

  FillCondition(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}

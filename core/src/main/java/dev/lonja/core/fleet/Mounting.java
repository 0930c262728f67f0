package dev.lonja.core.fleet;

/** How a filter sits. Only one that stands upright, opening up, holds its oil without a valve. */
public enum Mounting {
  UPRIGHT("upright"),
  SIDEWAYS("sideways"),
  INVERTED("inverted");

  private final String words;

  Mounting(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}

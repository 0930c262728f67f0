package dev.lonja.core.fleet;

/** The shape by which the machines of a class are drawn. */
public enum Outline {
  TRUCK("truck with a box"),
  VAN("van"),
  FORKLIFT("forklift"),
  BOAT("boat"),
  HOIST("hoist"),
  SMALL("small engine on a frame"),
  CARRIER("open carrier"),
  SET("set on a skid"),
  PLAIN("plain box");

  private final String words;

  Outline(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}

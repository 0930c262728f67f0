package dev.lonja.core.fleet;

/** Where the arrow on a part points once it is in: the way of the flow or of the air. */
public enum Arrow {
  UP("up"),
  DOWN("down"),
  TO_ENGINE("to the engine"),
  TO_TANK("to the tank"),
  INWARD("inward"),
  OUTWARD("outward");

  private final String words;

  Arrow(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}

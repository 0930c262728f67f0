package dev.lonja.core.pour;

/** How the level stood once a compartment was filled, read by its own method. */
public enum FillLevel {
  RIGHT("right"),
  LOW("low"),
  HIGH("high");

  private final String words;

  FillLevel(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}

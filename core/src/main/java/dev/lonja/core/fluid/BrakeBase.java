package dev.lonja.core.fluid;

/** What a brake fluid is made from; bases are never mixed. */
public enum BrakeBase {
  GLYCOL("glycol"),
  SILICONE("silicone"),
  MINERAL("mineral");

  private final String words;

  BrakeBase(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}

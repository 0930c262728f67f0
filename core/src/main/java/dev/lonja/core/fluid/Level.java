package dev.lonja.core.fluid;

/** How well a product meets a spec, best first. */
public enum Level {
  /** It carries an approval that the spec names. */
  LISTED("listed"),
  /** It claims the classes that the spec asks for. */
  MEETS("meets"),
  /** It serves in part of the year. */
  SEASONAL("seasonal"),
  /** Only with a person's signature. */
  SIGN_OFF("sign-off"),
  NO("no");

  private final String words;

  Level(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** True for what may be used without a word: listed or meets. */
  public boolean isFree() {
    return this == LISTED || this == MEETS;
  }

  Level worst(Level other) {
    return compareTo(other) >= 0 ? this : other;
  }
}

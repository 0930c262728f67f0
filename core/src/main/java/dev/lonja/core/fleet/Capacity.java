package dev.lonja.core.fleet;

import dev.lonja.core.quantity.Volume;

/**
 * What a compartment takes in one condition. A book may state low and high, since what stays behind
 * when it is drained varies; an exact one has both alike.
 */
public record Capacity(Volume low, Volume high) {

  public Capacity {
    if (low.compareTo(Volume.ZERO) <= 0 || high.compareTo(low) < 0) {
      throw new IllegalArgumentException(
          "capacity is "
              + low.exactText()
              + " to "
              + high.exactText()
              + " L; allowed is more than 0, and no less high than low");
    }
  }

  public static Capacity exactly(Volume volume) {
    return new Capacity(volume, volume);
  }

  /** An exact one of so many litres. */
  public static Capacity ofLitres(String litres) {
    return exactly(Volume.ofLitres(litres));
  }

  public boolean isRange() {
    return !low.equals(high);
  }

  /** Half way from low to high, rounded half up to a microlitre: what a forecast counts. */
  public Volume middle() {
    return new Volume(low.microlitres() + (high.microlitres() - low.microlitres() + 1) / 2);
  }

  /** "6.40 L", or "6.00 L to 6.60 L". */
  public String display() {
    return isRange() ? low.display() + " to " + high.display() : low.display();
  }

  /** Litres that can be read back, "6.4" or "6-6.6". */
  public String exactText() {
    return isRange() ? low.exactText() + "-" + high.exactText() : low.exactText();
  }

  /** This and so much more, at either end. */
  public Capacity plus(Volume more) {
    return new Capacity(low.plus(more), high.plus(more));
  }
}

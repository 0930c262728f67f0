package dev.lonja.core.quantity;

import java.util.Optional;

/**
 * A torque as a machine's data give it: one value, or a range whose ends both count as inside. A
 * low end above the high end is refused.
 */
public record TorqueRange(Torque low, Torque high) {

  private static final Torque GRADUATION = Torque.ofNewtonMetres("1");
  private static final Torque SMALL_GRADUATION = Torque.ofNewtonMetres("0.5");

  public TorqueRange {
    if (low.compareTo(high) > 0) {
      throw new IllegalArgumentException(
          "low is " + low.display() + "; allowed is up to the high end, " + high.display());
    }
  }

  /** A single value: a range of no width. */
  public static TorqueRange of(Torque value) {
    return new TorqueRange(value, value);
  }

  /**
   * The midpoint rounded to a multiple of the wrench's {@code graduation}, halves up, if that
   * multiple lies inside the range; empty if no multiple does. (The multiple nearest to the
   * midpoint lies inside whenever any does, since the range is symmetric about its midpoint.)
   */
  public Optional<Torque> setTo(Torque graduation) {
    long step = graduation.millinewtonMetres();
    long doubleMidpoint = low.millinewtonMetres() + high.millinewtonMetres();
    long nearest = Math.floorDiv(doubleMidpoint + step, 2 * step) * step;
    boolean inside = nearest >= low.millinewtonMetres() && nearest <= high.millinewtonMetres();
    return inside ? Optional.of(new Torque(nearest)) : Optional.empty();
  }

  /**
   * The same for the wrenches that reach it: marked every 0.5 N·m where the high end is below 15
   * N·m, else every 1 N·m.
   */
  public Optional<Torque> setTo() {
    return setTo(high.isSmall() ? SMALL_GRADUATION : GRADUATION);
  }

  /** "30–35 N·m"; empty for a single value. */
  public Optional<String> range() {
    return low.equals(high)
        ? Optional.empty()
        : Optional.of(low.newtonMetresText() + "–" + high.newtonMetres());
  }

  /** A single value as {@link Torque#display}; a range as "30–35 N·m · 22.1–25.8 lbf·ft". */
  public String display() {
    if (low.equals(high)) {
      return low.display();
    }
    String inches =
        high.isSmall()
            ? " · " + low.poundInchesText() + "–" + high.poundInchesText() + " lbf·in"
            : "";
    return low.newtonMetresText()
        + "–"
        + high.newtonMetresText()
        + " N·m · "
        + low.poundFeetText()
        + "–"
        + high.poundFeetText()
        + " lbf·ft"
        + inches;
  }
}

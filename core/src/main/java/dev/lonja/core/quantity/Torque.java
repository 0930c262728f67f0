package dev.lonja.core.quantity;

import java.math.BigDecimal;
import java.util.Optional;

/**
 * A tightening torque, held in whole millinewton-metres, above 0 and up to 100,000 N·m. Factories
 * round half away from zero. 1 lbf = 4.4482216152605 N and 1 ft = 0.3048 m exactly.
 */
public record Torque(long millinewtonMetres) implements Comparable<Torque> {

  private static final BigDecimal NEWTON_METRE = BigDecimal.valueOf(1_000);
  private static final BigDecimal POUND_FOOT =
      new BigDecimal("4.4482216152605").multiply(new BigDecimal("304.8"));
  private static final BigDecimal POUND_INCH =
      new BigDecimal("4.4482216152605").multiply(new BigDecimal("25.4"));

  /** Below this the pound-inch figure is shown too, since small wrenches are marked in it. */
  private static final long SMALL = 15_000;

  public Torque {
    BaseUnits.within("millinewtonMetres", millinewtonMetres, 1, 1_000L * Limits.TORQUE);
  }

  /**
   * Newton-metres, rounded half away from zero to a thousandth.
   *
   * @throws IllegalArgumentException outside the range of this type
   */
  public static Torque ofNewtonMetres(BigDecimal newtonMetres) {
    return new Torque(BaseUnits.from(newtonMetres, NEWTON_METRE));
  }

  /**
   * The same for a decimal written as text, such as "32.5".
   *
   * @throws NumberFormatException if it is no decimal
   * @throws IllegalArgumentException outside the range of this type
   */
  public static Torque ofNewtonMetres(String newtonMetres) {
    return ofNewtonMetres(new BigDecimal(newtonMetres));
  }

  /**
   * Pound-force feet, rounded half away from zero to a thousandth of a newton-metre.
   *
   * @throws IllegalArgumentException outside the range of this type
   */
  public static Torque ofPoundFeet(BigDecimal poundFeet) {
    return new Torque(BaseUnits.from(poundFeet, POUND_FOOT));
  }

  /**
   * Pound-force inches, rounded half away from zero to a thousandth of a newton-metre.
   *
   * @throws IllegalArgumentException outside the range of this type
   */
  public static Torque ofPoundInches(BigDecimal poundInches) {
    return new Torque(BaseUnits.from(poundInches, POUND_INCH));
  }

  /** In N·m, exact: what a form shows and reads back. */
  public String exactText() {
    return PlainDecimal.of(millinewtonMetres, 3);
  }

  /**
   * "32 N·m · 23.6 lbf·ft", and below 15 N·m also pound-inches: "9 N·m · 6.6 lbf·ft · 80 lbf·in".
   */
  public String display() {
    return newtonMetresText() + " N·m · " + poundFeetText() + " lbf·ft" + poundInchPart(this);
  }

  /** "32 N·m". */
  public String newtonMetres() {
    return newtonMetresText() + " N·m";
  }

  /** "23.6 lbf·ft". */
  public String poundFeet() {
    return poundFeetText() + " lbf·ft";
  }

  /** "80 lbf·in", for what is below 15 N·m only. */
  public Optional<String> poundInches() {
    return isSmall() ? Optional.of(poundInchesText() + " lbf·in") : Optional.empty();
  }

  String newtonMetresText() {
    if (millinewtonMetres < 50) {
      return "<0.1";
    }
    return BaseUnits.shortText(millinewtonMetres, NEWTON_METRE, 1);
  }

  String poundFeetText() {
    return BaseUnits.text(millinewtonMetres, POUND_FOOT, 1);
  }

  String poundInchesText() {
    return BaseUnits.text(millinewtonMetres, POUND_INCH, 0);
  }

  boolean isSmall() {
    return millinewtonMetres < SMALL;
  }

  private static String poundInchPart(Torque torque) {
    return torque.isSmall() ? " · " + torque.poundInchesText() + " lbf·in" : "";
  }

  @Override
  public int compareTo(Torque other) {
    return Long.compare(millinewtonMetres, other.millinewtonMetres);
  }
}

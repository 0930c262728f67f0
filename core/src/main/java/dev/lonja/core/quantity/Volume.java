package dev.lonja.core.quantity;

import java.math.BigDecimal;

/**
 * A volume of fluid, held in whole microlitres, from 0 to 10<sup>15</sup> µL (a million cubic
 * metres), both ends included. Factories round half away from zero to the microlitre. Customary
 * units are exact by definition: 1 US gal = 231 in³ = 3.785411784 L, 1 US qt a quarter and 1 US fl
 * oz a 128th of it; 1 imp gal = 4.54609 L.
 */
public record Volume(long microlitres) implements Comparable<Volume> {

  public static final Volume ZERO = new Volume(0);

  private static final BigDecimal LITRE = BigDecimal.valueOf(1_000_000);
  private static final BigDecimal MILLILITRE = BigDecimal.valueOf(1_000);
  private static final BigDecimal US_QUART = new BigDecimal("946352.946");
  private static final BigDecimal US_GALLON = new BigDecimal("3785411.784");
  private static final BigDecimal US_FLUID_OUNCE = new BigDecimal("29573.5295625");
  private static final BigDecimal IMPERIAL_GALLON = new BigDecimal("4546090");
  private static final long HIGHEST = 1_000_000_000_000_000L;
  private static final long HALF_MILLILITRE = 500;

  /** 0.05 fl oz, rounded up to the microlitre. */
  private static final long LEAST_OUNCES_SHOWN = 1_479;

  public Volume {
    BaseUnits.within("microlitres", microlitres, 0, HIGHEST);
  }

  /**
   * Litres, rounded half away from zero to the microlitre.
   *
   * @throws IllegalArgumentException outside the range of this type
   */
  public static Volume ofLitres(BigDecimal litres) {
    return new Volume(BaseUnits.from(litres, LITRE));
  }

  /** The same as {@link #ofLitres(BigDecimal)} for a decimal written as text, such as "6.40". */
  public static Volume ofLitres(String litres) {
    return ofLitres(new BigDecimal(litres));
  }

  /**
   * US liquid quarts of 946.352946 mL, rounded half away from zero to the microlitre.
   *
   * @throws IllegalArgumentException outside the range of this type
   */
  public static Volume ofUsQuarts(BigDecimal quarts) {
    return new Volume(BaseUnits.from(quarts, US_QUART));
  }

  /**
   * US gallons of 3.785411784 L, rounded half away from zero to the microlitre.
   *
   * @throws IllegalArgumentException outside the range of this type
   */
  public static Volume ofUsGallons(BigDecimal gallons) {
    return new Volume(BaseUnits.from(gallons, US_GALLON));
  }

  /**
   * US fluid ounces of 29.5735295625 mL, rounded half away from zero to the microlitre.
   *
   * @throws IllegalArgumentException outside the range of this type
   */
  public static Volume ofUsFluidOunces(BigDecimal ounces) {
    return new Volume(BaseUnits.from(ounces, US_FLUID_OUNCE));
  }

  /**
   * Imperial gallons of 4.54609 L, rounded half away from zero to the microlitre.
   *
   * @throws IllegalArgumentException outside the range of this type
   */
  public static Volume ofImperialGallons(BigDecimal gallons) {
    return new Volume(BaseUnits.from(gallons, IMPERIAL_GALLON));
  }

  /**
   * The sum.
   *
   * @throws IllegalArgumentException if it is above a million litres times a thousand, the highest
   *     volume
   */
  public Volume plus(Volume other) {
    return new Volume(Math.addExact(microlitres, other.microlitres));
  }

  /** The difference; a result below zero is refused with an exception. */
  public Volume minus(Volume other) {
    return new Volume(microlitres - other.microlitres);
  }

  /** This volume × {@code factor}, rounded half away from zero to the microlitre. */
  public Volume times(BigDecimal factor) {
    return new Volume(BaseUnits.from(factor, BigDecimal.valueOf(microlitres)));
  }

  /** Rounded down to a whole number of {@code step}s; a step of zero is refused. */
  public Volume roundedDownTo(Volume step) {
    return new Volume(microlitres / step.microlitres * step.microlitres);
  }

  /** In litres, exact. */
  public BigDecimal litres() {
    return BigDecimal.valueOf(microlitres, 6);
  }

  /** In litres, exact: what a form shows and reads back. */
  public String exactText() {
    return PlainDecimal.of(microlitres, 6);
  }

  /**
   * "6.40 L", or in whole millilitres when it is below one litre after rounding to them: "450 mL".
   * What is not zero never reads as zero: below half a millilitre it is "&lt;1 mL".
   */
  public String display() {
    if (microlitres > 0 && microlitres < HALF_MILLILITRE) {
      return "<1 mL";
    }
    return belowOneLitre()
        ? BaseUnits.text(microlitres, MILLILITRE, 0) + " mL"
        : BaseUnits.text(microlitres, LITRE, 2) + " L";
  }

  /** US customary: fluid ounces where {@link #display} shows mL, quarts where it shows L. */
  public String displayUs() {
    if (microlitres > 0 && microlitres < LEAST_OUNCES_SHOWN) {
      return "<0.1 fl oz";
    }
    return belowOneLitre()
        ? BaseUnits.text(microlitres, US_FLUID_OUNCE, 1) + " fl oz"
        : BaseUnits.text(microlitres, US_QUART, 1) + " qt";
  }

  private boolean belowOneLitre() {
    return microlitres < 1_000_000 - HALF_MILLILITRE;
  }

  @Override
  public int compareTo(Volume other) {
    return Long.compare(microlitres, other.microlitres);
  }
}

package dev.lonja.core.fluid;

import dev.lonja.core.quantity.Density;
import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;

/**
 * What temperature makes of the volume of a lubricating oil (rules §10): volume at 15 °C is what is
 * observed times exp(−αΔ(1 + 0.8 αΔ)), Δ the degrees above 15 °C and α = 0.6278 / ρ per °C, ρ in
 * kg/m³ at 15 °C. Good for oils of 800 to 1,164 kg/m³.
 */
public final class VolumeCorrection {

  /** Taken where a product's density is not on file. */
  public static final Density USUAL = Density.ofKilogramsPerCubicMetre(BigDecimal.valueOf(870));

  private static final double LIGHTEST = 800;
  private static final double HEAVIEST = 1_164;
  private static final double GRAMS = 1_000;
  private static final double REFERENCE = 15;
  private static final double K0 = 0.6278;

  private VolumeCorrection() {}

  /** True if the formula holds for a fluid of this density at 15 °C. */
  public static boolean holdsFor(Density density) {
    double kilograms = density.gramsPerCubicMetre() / GRAMS;
    return kilograms >= LIGHTEST && kilograms <= HEAVIEST;
  }

  /**
   * What a volume is multiplied by to be that at 15 °C.
   *
   * @param celsius its temperature
   * @throws IllegalArgumentException for a density for which the formula does not hold
   */
  public static double factor(Density density, double celsius) {
    if (!holdsFor(density)) {
      throw new IllegalArgumentException(
          "density is "
              + density.gramsPerCubicMetre() / GRAMS
              + " kg/m³; allowed is "
              + LIGHTEST
              + " to "
              + HEAVIEST);
    }
    double rise = K0 / (density.gramsPerCubicMetre() / GRAMS) * (celsius - REFERENCE);
    return Math.exp(-rise * (1 + 0.8 * rise));
  }

  /**
   * By how much a fill grows from one temperature to another, to the microlitre; below zero if it
   * shrinks.
   *
   * @throws IllegalArgumentException for a density for which the formula does not hold
   */
  public static Volume growth(Volume fill, Density density, double fromCelsius, double toCelsius) {
    double share = factor(density, fromCelsius) / factor(density, toCelsius) - 1;
    return new Volume(Math.round(fill.microlitres() * share));
  }
}

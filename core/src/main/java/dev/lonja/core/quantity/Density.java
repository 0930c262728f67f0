package dev.lonja.core.quantity;

import java.math.BigDecimal;

/**
 * The density of a fluid, held in whole grams per cubic metre, from 1 kg/m³ to 20,000 kg/m³.
 * Factories round half away from zero.
 */
public record Density(long gramsPerCubicMetre) {

  private static final BigDecimal KILOGRAM_PER_CUBIC_METRE = BigDecimal.valueOf(1_000);

  public Density {
    BaseUnits.within("gramsPerCubicMetre", gramsPerCubicMetre, 1_000, 20_000_000);
  }

  /**
   * Kilograms a cubic metre, rounded half away from zero to a gram.
   *
   * @throws IllegalArgumentException outside the range of this type
   */
  public static Density ofKilogramsPerCubicMetre(BigDecimal density) {
    return new Density(BaseUnits.from(density, KILOGRAM_PER_CUBIC_METRE));
  }

  /** In kg/m³, exact: what a form shows and reads back. */
  public String exactText() {
    return PlainDecimal.of(gramsPerCubicMetre, 3);
  }

  /** In kg/m³ with one decimal: "868.0 kg/m³". */
  public String display() {
    return BaseUnits.text(gramsPerCubicMetre, KILOGRAM_PER_CUBIC_METRE, 1) + " kg/m³";
  }
}

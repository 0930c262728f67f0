package dev.lonja.core.tank;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.VolumeCorrection;
import dev.lonja.core.quantity.Density;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.quantity.Volume;
import java.util.Optional;

/**
 * What a volume comes to at 15 °C (rules §10), so that warm oil and cold can be added up.
 *
 * @param density at 15 °C of an oil for which the correction holds; empty for what is not corrected
 */
public record StandardVolume(Optional<Density> density) {

  private static final double TENTHS = 10;

  /** Of what is no lubricating oil, or is lighter or heavier than the formula allows. */
  public static final StandardVolume NOT_CORRECTED = new StandardVolume(Optional.empty());

  /**
   * Of a product; an oil whose density is not on file is taken for a usual one of {@link
   * VolumeCorrection#USUAL}.
   */
  public static StandardVolume of(Product product) {
    return switch (product.kind()) {
      case ENGINE_OIL, GEAR_OIL, HYDRAULIC_OIL ->
          new StandardVolume(
              Optional.of(product.data().density().orElse(VolumeCorrection.USUAL))
                  .filter(VolumeCorrection::holdsFor));
      case COOLANT, BRAKE_FLUID, EXHAUST_FLUID, WASHER_FLUID, GREASE, DIESEL, PETROL ->
          NOT_CORRECTED;
    };
  }

  /** The litres at 15 °C of a volume as it lies; as it lies too if its temperature is not known. */
  public double litres(Volume asItLies, Optional<Temperature> temperature) {
    return litres(asItLies.litres().doubleValue(), temperature);
  }

  /** The same of litres as they lie. */
  public double litres(double asTheyLie, Optional<Temperature> temperature) {
    return density.isPresent() && temperature.isPresent()
        ? asTheyLie
            * VolumeCorrection.factor(density.get(), temperature.get().tenthsCelsius() / TENTHS)
        : asTheyLie;
  }
}

package dev.lonja.core.pour;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.LevelMethod;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.VolumeCorrection;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.quantity.Density;
import dev.lonja.core.quantity.Volume;
import java.util.Optional;
import java.util.Set;

/**
 * By how much a fill that is read cold stands too low on a stick whose marks are for hot oil (rules
 * §6): it grows from 20 to 90 °C. Shown beside the level method; it changes no amount.
 *
 * @param growth to 10 mL, since the temperatures are assumed
 * @param isUsual true if the density was not on file, so that 870 kg/m³ was taken
 */
public record HotGrowth(Volume growth, boolean isUsual) {

  public static final int COLD = 20;
  public static final int HOT = 90;

  private static final Volume STEP = Volume.ofLitres("0.01");
  private static final Volume HALF_STEP = Volume.ofLitres("0.005");

  private static final Set<FluidKind> OILS =
      Set.of(FluidKind.ENGINE_OIL, FluidKind.GEAR_OIL, FluidKind.HYDRAULIC_OIL);

  /**
   * For a fill of this product; empty where the level is not read on such a stick, and for fluids
   * for which nobody knows a factor.
   */
  public static Optional<HotGrowth> of(Compartment compartment, Product product, Volume fill) {
    Optional<Density> known = product.data().density();
    Density density = known.orElse(VolumeCorrection.USUAL);
    return compartment
        .filling()
        .level()
        .filter(LevelMethod::isMarkedHot)
        .filter(level -> OILS.contains(product.kind()) && VolumeCorrection.holdsFor(density))
        .map(
            level ->
                new HotGrowth(
                    rounded(VolumeCorrection.growth(fill, density, COLD, HOT)), known.isEmpty()));
  }

  private static Volume rounded(Volume growth) {
    return growth.plus(HALF_STEP).roundedDownTo(STEP);
  }
}

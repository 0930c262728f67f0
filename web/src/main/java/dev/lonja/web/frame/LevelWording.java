package dev.lonja.web.frame;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.LevelMethod;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.pour.HotGrowth;
import dev.lonja.core.quantity.Volume;

/** How a level is read, in words. */
public final class LevelWording {

  private static final Cases<LevelMethod, String> METHOD =
      Cases.<LevelMethod, String>over(LevelMethod.class)
          .when(
              LevelMethod.Dipstick.class,
              stick ->
                  "Read on the stick "
                      + stick.warmth().words()
                      + ", "
                      + stick.seat().words()
                      + ", "
                      + stick.stance().words()
                      + ".")
          .when(LevelMethod.SightGlass.class, glass -> "Read at the sight glass.")
          .when(
              LevelMethod.Gauge.class,
              gauge -> "Read in the machine's menu at " + gauge.celsius() + " °C.")
          .when(LevelMethod.Overflow.class, over -> "Full when it runs out at the fill hole.")
          .when(LevelMethod.Measured.class, exact -> "Nothing to read: exactly so much goes in.")
          .all();

  private LevelWording() {}

  /** Empty if nobody has said how it is read. */
  public static String of(Compartment compartment) {
    return compartment.filling().level().map(METHOD).orElse("");
  }

  /** With by how much a fill of this product grows until it is hot, where that matters. */
  public static String of(Compartment compartment, Product product, Volume fill) {
    return HotGrowth.of(compartment, product, fill)
        .map(growth -> of(compartment) + " " + words(growth))
        .orElseGet(() -> of(compartment));
  }

  private static String words(HotGrowth growth) {
    return "From "
        + HotGrowth.COLD
        + " to "
        + HotGrowth.HOT
        + " °C it grows by about "
        + growth.growth().display()
        + (growth.isUsual() ? ", at 870 kg/m³, since its density is not on file." : ".");
  }
}

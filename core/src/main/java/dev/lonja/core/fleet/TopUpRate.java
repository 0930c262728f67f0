package dev.lonja.core.fleet;

import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.core.quantity.Volume;

/**
 * What is added to a compartment between two services as its machine runs: an engine's use of oil,
 * or exhaust fluid.
 *
 * @param volume above zero, for each span of {@link #span}
 * @param meter the name of the meter it goes by
 */
public record TopUpRate(Volume volume, String meter) {

  private static final int HOURS = 100;
  private static final int KILOMETRES = 1_000;

  public TopUpRate {
    if (volume.microlitres() <= 0) {
      throw new IllegalArgumentException("volume is " + volume.exactText() + " L; allowed is more");
    }
  }

  /** The span for which what is added is stated: 100 h or 1,000 km. */
  public static MeterSpan span(MeterMeasure measure) {
    int amount =
        switch (measure) {
          case HOURS -> HOURS;
          case KILOMETRES -> KILOMETRES;
        };
    return new MeterSpan(amount * 10L, measure);
  }
}

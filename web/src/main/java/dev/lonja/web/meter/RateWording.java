package dev.lonja.web.meter;

import dev.lonja.core.meter.UsageRate;
import java.util.Optional;

/** Where a rate comes from, in words. */
public final class RateWording {

  private RateWording() {}

  public static String words(Optional<UsageRate> rate) {
    if (rate.isEmpty()) {
      return "rate unknown: too few readings, none declared, none in its class";
    }
    if (rate.get().isStandingStill()) {
      return "standing still";
    }
    String source =
        switch (rate.get().source()) {
          case READINGS -> "from a year of readings";
          case BURSTY_READINGS -> "mean of the year, it runs in bursts";
          case DECLARED -> "declared, for want of readings";
          case CLASS_MEDIAN -> "median of its class, for want of readings";
        };
    return rate.get().display() + ", " + source;
  }
}

package dev.lonja.web.frame;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.take.Take;

/** What a machine's data lack, in words. */
public final class GapWording {

  private static final Cases<Take.Gap, String> GAP =
      Cases.<Take.Gap, String>over(Take.Gap.class)
          .when(Take.Gap.NoCapacity.class, gap -> gap.compartment() + ": no capacity on file")
          .when(Take.Gap.NoItem.class, gap -> gap.place() + ": no item chosen")
          .when(
              Take.Gap.FilterVolumeUnknown.class,
              gap -> gap.position() + ": the filter's volume is unknown")
          .when(
              Take.Gap.FilterStays.class,
              gap ->
                  gap.compartment()
                      + ": the filter stays, and only the capacity with a new one is on file")
          .all();

  private GapWording() {}

  public static String of(Take.Gap gap) {
    return GAP.apply(gap);
  }
}

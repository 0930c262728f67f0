package dev.lonja.web.frame;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.take.Take;
import java.math.BigDecimal;

/** What a machine's data lack, in words. */
public final class GapWording {

  private static final Cases<Take.Gap, String> GAP =
      Cases.<Take.Gap, String>over(Take.Gap.class)
          .when(Take.Gap.NoCapacity.class, gap -> gap.compartment() + ": no capacity on file")
          .when(
              Take.Gap.NoStrokes.class,
              gap -> gap.position() + ": not said how many strokes each point takes")
          .when(Take.Gap.NoItem.class, gap -> gap.place() + ": no item chosen")
          .when(
              Take.Gap.FilterVolumeUnknown.class,
              gap -> gap.position() + ": the filter's volume is unknown")
          .when(
              Take.Gap.FilterStays.class,
              gap ->
                  gap.compartment()
                      + ": the filter stays, and only the capacity with a new one is on file")
          .when(
              Take.Gap.NoFlush.class,
              gap -> gap.compartment() + ": it is to be flushed, and nobody has said with what")
          .when(
              Take.Gap.StrengthUnknown.class,
              gap ->
                  gap.compartment()
                      + ": nobody has said whether its fluid is a concentrate or ready mixed")
          .when(
              Take.Gap.TooWeak.class,
              gap ->
                  gap.compartment()
                      + ": its fluid is weaker than the "
                      + percent(gap.wanted().share())
                      + " that is wanted")
          .when(
              Take.Gap.NotReached.class,
              gap -> gap.compartment() + ": no mixture of its fluid is known to protect so far")
          .all();

  private GapWording() {}

  private static String percent(BigDecimal share) {
    return PlainDecimal.of(share.movePointRight(2)) + " %";
  }

  public static String of(Take.Gap gap) {
    return GAP.apply(gap);
  }
}

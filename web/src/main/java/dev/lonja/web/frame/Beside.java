package dev.lonja.web.frame;

import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;

/**
 * How amounts are written for people who work with them at a machine: with US customary units
 * beside, never instead, where the store wants that. It holds for the page that is being made.
 */
public final class Beside {

  private static final ThreadLocal<Boolean> US = ThreadLocal.withInitial(() -> false);

  private Beside() {}

  /** Says what the store wants, before each page is made. */
  static void showUs(boolean wanted) {
    US.set(wanted);
  }

  /** "6.40 L", or "6.40 L (6.8 qt)". */
  public static String of(Volume volume) {
    return beside(volume.display(), volume.displayUs());
  }

  /** The same of what is counted in litres; of anything else as it is. */
  public static String of(Quantity quantity) {
    return quantity.measure() == Measure.LITRES && quantity.isPositive()
        ? beside(quantity.display(), Volume.ofLitres(quantity.amount()).displayUs())
        : quantity.display();
  }

  /** "5.8 L to 6.4 L (6.1 qt to 6.8 qt)". */
  public static String of(Capacity capacity) {
    return beside(
        capacity.display(),
        capacity.isRange()
            ? capacity.low().displayUs() + " to " + capacity.high().displayUs()
            : capacity.low().displayUs());
  }

  /** "112,400 km (69,842.1 mi)"; hours have no other unit. */
  public static String of(MeterValue value) {
    return value.displayUs().map(us -> beside(value.display(), us)).orElse(value.display());
  }

  /** The same of a distance covered. */
  public static String of(MeterSpan span) {
    return span.displayUs().map(us -> beside(span.display(), us)).orElse(span.display());
  }

  private static String beside(String metric, String us) {
    return US.get() ? metric + " (" + us + ")" : metric;
  }
}

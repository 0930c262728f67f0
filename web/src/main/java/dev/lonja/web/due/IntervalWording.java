package dev.lonja.web.due;

import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.core.service.Interval;
import dev.lonja.web.frame.Words;
import java.util.ArrayList;
import java.util.List;

/** Intervals in words. */
public final class IntervalWording {

  private IntervalWording() {}

  /** "250 h or 12 months". */
  public static String of(Interval interval) {
    List<String> parts = new ArrayList<>();
    interval.run().map(MeterSpan::display).ifPresent(parts::add);
    interval.months().map(m -> Words.count(m, "month", "months")).ifPresent(parts::add);
    return String.join(" or ", parts);
  }
}

package dev.lonja.core.service;

import dev.lonja.core.quantity.Limits;
import dev.lonja.core.quantity.MeterSpan;
import java.util.Optional;

/**
 * How long a task lasts: time run or distance, or months, or both, whichever comes first. One of
 * them must be given; a span of zero and months outside 1 to 240 are refused.
 */
public record Interval(Optional<MeterSpan> run, Optional<Integer> months) {

  public Interval {
    if (run.isEmpty() && months.isEmpty()) {
      throw new IllegalArgumentException("run and months are both absent; allowed is one or both");
    }
    if (run.filter(span -> span.tenths() == 0).isPresent()) {
      throw new IllegalArgumentException("run is 0; allowed is more than 0");
    }
    if (months.filter(count -> count < 1 || count > Limits.MONTHS).isPresent()) {
      throw new IllegalArgumentException(
          "months is " + months.get() + "; allowed is 1 to " + Limits.MONTHS);
    }
  }

  /** This interval, with what it leaves open taken from {@code regular}. */
  Interval orElse(Interval regular) {
    return new Interval(run.or(regular::run), months.or(regular::months));
  }
}

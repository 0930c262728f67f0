package dev.lonja.core.meter;

import dev.lonja.core.quantity.MeterValue;
import java.util.Optional;

/**
 * How far a machine's life lies beyond what its present meter shows, in whole tenths of an hour or
 * kilometre: zero until the meter is replaced, and below zero if a used meter was put in.
 */
public record MeterOffset(long tenths) {

  public static final MeterOffset NONE = new MeterOffset(0);

  /** The life at which a meter shows {@code shown}; one below zero is refused. */
  public MeterValue life(MeterValue shown) {
    return new MeterValue(Math.addExact(shown.tenths(), tenths), shown.measure());
  }

  /** What the meter shows at this life; empty for a life from before it was put in. */
  public Optional<MeterValue> shown(MeterValue life) {
    long value = Math.subtractExact(life.tenths(), tenths);
    return value < 0 ? Optional.empty() : Optional.of(new MeterValue(value, life.measure()));
  }

  /** True while the first meter is in place, or one that begins where it ended. */
  public boolean isNone() {
    return tenths == 0;
  }
}

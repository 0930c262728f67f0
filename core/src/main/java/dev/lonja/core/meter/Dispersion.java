package dev.lonja.core.meter;

import dev.lonja.core.quantity.MeterMeasure;

/**
 * φ: how unevenly a meter runs. Usage over an effective time τ has the variance φ × rate × τ. Held
 * in millionths of an hour or kilometre and never below a tenth of one.
 */
public record Dispersion(long millionths, MeterMeasure measure) {

  private static final double MILLION = 1e6;
  private static final long LEAST = 100_000;

  public Dispersion {
    if (!(millionths >= LEAST)) {
      throw new IllegalArgumentException(
          "millionths is " + millionths + "; allowed is " + LEAST + " or more");
    }
  }

  /** {@code value} hours or kilometres, rounded to a millionth and raised to a tenth if below. */
  static Dispersion of(double value, MeterMeasure measure) {
    return new Dispersion(Math.max(LEAST, Math.round(value * MILLION)), measure);
  }

  double value() {
    return millionths / MILLION;
  }
}

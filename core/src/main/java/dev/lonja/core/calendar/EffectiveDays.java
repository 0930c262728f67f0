package dev.lonja.core.calendar;

/**
 * τ: days weighted by how much a machine runs on them, held in whole ten-thousandths of a day, zero
 * or more.
 */
public record EffectiveDays(long tenThousandths) {

  public static final int ONE_DAY = 10_000;

  public EffectiveDays {
    if (!(tenThousandths >= 0)) {
      throw new IllegalArgumentException(
          "tenThousandths is " + tenThousandths + "; allowed is 0 or more");
    }
  }

  /** True if any use falls into the time. */
  public boolean isPositive() {
    return tenThousandths > 0;
  }

  /** In days, for rates and chances; exact to a ten-thousandth. */
  public double days() {
    return (double) tenThousandths / ONE_DAY;
  }
}

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

  public boolean isPositive() {
    return tenThousandths > 0;
  }

  public double days() {
    return (double) tenThousandths / ONE_DAY;
  }
}

package dev.lonja.core.quantity;

import java.math.BigDecimal;

/**
 * Sulphated ash of an oil as a share of its mass, held in whole thousandths of a per cent, from 0 %
 * to 100 %. The factory rounds half away from zero.
 */
public record AshContent(int thousandthsOfPercent) implements Comparable<AshContent> {

  private static final BigDecimal PERCENT = BigDecimal.valueOf(1_000);

  public AshContent {
    BaseUnits.within("thousandthsOfPercent", thousandthsOfPercent, 0, 100_000);
  }

  /**
   * Per cent by mass, rounded half away from zero to a thousandth.
   *
   * @throws IllegalArgumentException outside the range of this type
   */
  public static AshContent ofPercent(BigDecimal percent) {
    return new AshContent(Math.toIntExact(BaseUnits.from(percent, PERCENT)));
  }

  /** In per cent, exact: what a form shows and reads back. */
  public String exactText() {
    return PlainDecimal.of(thousandthsOfPercent, 3);
  }

  /** "0.8 %", with at most three decimals. */
  public String display() {
    return BaseUnits.shortText(thousandthsOfPercent, PERCENT, 3) + " %";
  }

  @Override
  public int compareTo(AshContent other) {
    return Integer.compare(thousandthsOfPercent, other.thousandthsOfPercent);
  }
}

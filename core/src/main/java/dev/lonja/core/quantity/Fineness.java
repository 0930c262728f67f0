package dev.lonja.core.quantity;

import java.math.BigDecimal;

/**
 * The rated fineness of a filter, held in whole tenths of a micrometre, above 0 and up to 10 mm.
 * The factory rounds half away from zero. Two values compare only if both name the same test.
 */
public record Fineness(int tenthsOfMicrometre) implements Comparable<Fineness> {

  private static final BigDecimal MICROMETRE = BigDecimal.TEN;

  public Fineness {
    BaseUnits.within("tenthsOfMicrometre", tenthsOfMicrometre, 1, 100_000);
  }

  /**
   * Micrometres, rounded half away from zero to a tenth.
   *
   * @throws IllegalArgumentException outside the range of this type
   */
  public static Fineness ofMicrometres(BigDecimal micrometres) {
    return new Fineness(Math.toIntExact(BaseUnits.from(micrometres, MICROMETRE)));
  }

  /** In µm, exact: what a form shows and reads back. */
  public String exactText() {
    return PlainDecimal.of(tenthsOfMicrometre, 1);
  }

  /** "12.5 µm", with at most one decimal. */
  public String display() {
    return BaseUnits.shortText(tenthsOfMicrometre, MICROMETRE, 1) + " µm";
  }

  @Override
  public int compareTo(Fineness other) {
    return Integer.compare(tenthsOfMicrometre, other.tenthsOfMicrometre);
  }
}

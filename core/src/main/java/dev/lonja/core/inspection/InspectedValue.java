package dev.lonja.core.inspection;

/**
 * What an inspection measured.
 *
 * @param base in the base unit of its kind: µm, Pa, tenths of °C, mN·m, mV, or a count
 */
public record InspectedValue(ValueKind kind, long base) implements Comparable<InspectedValue> {

  /** "62 mm", "2.4 bar", "−25 °C". */
  public String display() {
    return kind.display(base);
  }

  /** In the usual unit of its kind, exact: what a form shows and reads back. */
  public String exactText() {
    return kind.exactText(base);
  }

  /**
   * By amount.
   *
   * @throws IllegalArgumentException for another kind
   */
  @Override
  public int compareTo(InspectedValue other) {
    if (kind != other.kind) {
      throw new IllegalArgumentException(
          "other is a " + other.kind.words() + "; allowed is a " + kind.words());
    }
    return Long.compare(base, other.base);
  }
}

package dev.lonja.core.inspection;

import java.util.Optional;
import java.util.stream.Stream;

/**
 * Between what a measured value is sound, both ends included. There is a low limit, a high one, or
 * both (rules, <i>Inspection with a value</i>).
 */
public record ValueLimits(
    ValueKind kind, Optional<InspectedValue> low, Optional<InspectedValue> high) {

  /**
   * @throws IllegalArgumentException without any limit, with one of another kind, or with the low
   *     one above the high one
   */
  public ValueLimits {
    if (low.isEmpty() && high.isEmpty()) {
      throw new IllegalArgumentException("low and high are empty; allowed is one of them, or both");
    }
    for (InspectedValue end : Stream.of(low, high).flatMap(Optional::stream).toList()) {
      if (end.kind() != kind) {
        throw new IllegalArgumentException(
            "a limit is a " + end.kind().words() + "; allowed is a " + kind.words());
      }
    }
    if (low.isPresent() && high.isPresent() && low.get().compareTo(high.get()) > 0) {
      throw new IllegalArgumentException(
          "low is " + low.get().display() + "; allowed is up to " + high.get().display());
    }
  }

  /**
   * The limits in base units of their kind.
   *
   * @throws IllegalArgumentException as the constructor does
   */
  public static ValueLimits of(ValueKind kind, Optional<Long> low, Optional<Long> high) {
    return new ValueLimits(
        kind,
        low.map(base -> new InspectedValue(kind, base)),
        high.map(base -> new InspectedValue(kind, base)));
  }

  /** True if the value is sound. */
  public boolean hold(InspectedValue value) {
    return low.filter(l -> value.compareTo(l) < 0).isEmpty()
        && high.filter(h -> value.compareTo(h) > 0).isEmpty();
  }

  /** "35 mm to 45 mm", "at least 8 mm", "at most −25 °C". */
  public String display() {
    if (low.isEmpty()) {
      return "at most " + high.orElseThrow().display();
    }
    return high.isEmpty()
        ? "at least " + low.get().display()
        : low.get().display() + " to " + high.get().display();
  }
}

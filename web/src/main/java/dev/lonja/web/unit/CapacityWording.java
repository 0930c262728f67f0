package dev.lonja.web.unit;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.web.frame.Beside;
import java.util.Arrays;
import java.util.stream.Collectors;

/** Capacities in words. */
final class CapacityWording {

  private CapacityWording() {}

  /** The capacities besides one condition: "drain without filter is 5.90 L". */
  static String of(Compartment compartment, FillCondition besides) {
    return Arrays.stream(FillCondition.values())
        .filter(condition -> condition != besides)
        .flatMap(
            condition ->
                compartment
                    .range(condition)
                    .map(capacity -> condition.words() + " is " + Beside.of(capacity))
                    .stream())
        .collect(Collectors.joining(", "));
  }
}

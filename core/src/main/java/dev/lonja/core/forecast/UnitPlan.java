package dev.lonja.core.forecast;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.service.Occurrence;
import java.util.List;

/** One unit with its occurrences over a horizon and what it is made of. */
public record UnitPlan(
    UnitId unitId, String unitCode, List<Occurrence> occurrences, UnitNeeds needs) {

  public UnitPlan {
    occurrences = List.copyOf(occurrences);
  }
}

package dev.lonja.core.fluid;

import java.time.Month;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * The verdict on one product for one spec: the worst of its three steps.
 *
 * @param limits kind and limits; {@code LISTED} where nothing stands against it
 * @param grade against the window
 * @param claims approvals and classes
 * @param reasons in the order of the steps
 * @param season the months covered whole if the product is seasonal by its grade, else none
 */
public record Suitability(
    Level limits, Level grade, Level claims, List<Reason> reasons, Set<Month> season) {

  public Suitability {
    reasons = List.copyOf(reasons);
    season = season.isEmpty() ? Set.of() : Collections.unmodifiableSet(new TreeSet<>(season));
  }

  public Level overall() {
    return limits.worst(grade).worst(claims);
  }
}

package dev.lonja.core.fluid;

import java.time.Month;
import java.util.List;
import java.util.Set;

/**
 * The verdict on one product for one spec with everything that speaks for and against it.
 *
 * @param reasons in the order of the steps
 */
public record Suitability(Standing standing, List<Reason> reasons) {

  public Suitability {
    reasons = List.copyOf(reasons);
  }

  public Level limits() {
    return standing.limits();
  }

  public Level grade() {
    return standing.grade();
  }

  public Level claims() {
    return standing.claims();
  }

  public Level overall() {
    return standing.overall();
  }

  /** The months covered whole if the product is seasonal by its grade, else none. */
  public Set<Month> season() {
    return standing.season();
  }
}

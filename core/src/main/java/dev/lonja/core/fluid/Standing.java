package dev.lonja.core.fluid;

import java.time.Month;
import java.util.Set;

/**
 * Where a product stands with a spec, step by step, without the reasons.
 *
 * @param limits kind and limits; {@code LISTED} where nothing stands against it
 * @param grade against the window
 * @param claims approvals and classes
 * @param season the months covered whole if the product is seasonal by its grade, else none; in
 *     order and never changed
 */
public record Standing(Level limits, Level grade, Level claims, Set<Month> season) {

  /** The worst of the steps. */
  public Level overall() {
    return limits.worst(grade).worst(claims);
  }
}

package dev.lonja.core.fleet;

import dev.lonja.core.quantity.Power;
import java.util.Optional;

/**
 * What drives the machines of a variant.
 *
 * @param code as it stands on its plate; empty if nobody noted it
 */
public record Engine(String code, Optional<Power> power) {

  /** One of which nothing is noted. */
  public static final Engine UNKNOWN = new Engine("", Optional.empty());
}

package dev.lonja.core.machine;

import dev.lonja.core.fleet.Position;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.policy.UnitPolicies;
import java.util.Map;

/**
 * How things are done on one machine.
 *
 * @param policies those that hold for it
 * @param chances by kind of position, how often what is looked at or laid in case is used on
 *     machines of its class
 */
public record Ways(UnitPolicies policies, Map<Position.Kind, ReplacementChance> chances) {

  /** The usual ways, and nothing on record. */
  public static final Ways USUAL = new Ways(UnitPolicies.USUAL, Map.of());

  public Ways {
    chances = Map.copyOf(chances);
  }

  /** How often a part at such a position is used. */
  public ReplacementChance chance(Position.Kind kind) {
    return chances.getOrDefault(kind, ReplacementChance.UNKNOWN);
  }
}

package dev.lonja.core.machine;

import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.Variant;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.policy.Question;
import dev.lonja.core.policy.School;
import dev.lonja.core.policy.UnitPolicies;
import java.util.Map;
import java.util.Optional;

/**
 * How things are done on one machine.
 *
 * @param policies those that hold for it
 * @param chances by kind of position, how often what is looked at or laid in case is used on
 *     machines of its class
 * @param variant of the machine; empty for none in particular
 */
public record Ways(
    UnitPolicies policies,
    Map<Position.Kind, ReplacementChance> chances,
    Optional<Variant> variant) {

  /** The usual ways, and nothing on record. */
  public static final Ways USUAL = new Ways(UnitPolicies.USUAL, Map.of(), Optional.empty());

  public Ways {
    chances = Map.copyOf(chances);
  }

  /** The make of the machine; empty for none in particular. */
  public String make() {
    return variant.map(Variant::make).orElse("");
  }

  /** True if a part of some make may go to a position by the school in force there. */
  public boolean takesMake(Position position, String other) {
    return !Question.FILTER_MAKE.kinds().contains(position.kind())
        || !policies.at(Question.FILTER_MAKE, position).is(School.MACHINE_MAKER_ONLY)
        || other.equalsIgnoreCase(make());
  }

  /** How often a part at such a position is used. */
  public ReplacementChance chance(Position.Kind kind) {
    return chances.getOrDefault(kind, ReplacementChance.UNKNOWN);
  }
}

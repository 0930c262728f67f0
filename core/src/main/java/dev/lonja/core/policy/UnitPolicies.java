package dev.lonja.core.policy;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.Unit;
import java.util.ArrayList;
import java.util.List;

/**
 * The policies as they hold for one machine.
 *
 * @param around the machine, its class and the store, nearest first
 */
public record UnitPolicies(Policies policies, List<Holder> around) {

  /** For what belongs to no machine in particular. */
  public static final UnitPolicies USUAL = new UnitPolicies(Policies.USUAL, List.of(Holder.STORE));

  public UnitPolicies {
    around = List.copyOf(around);
  }

  public static UnitPolicies of(Policies policies, Unit unit) {
    return new UnitPolicies(
        policies,
        List.of(
            new Holder.OfUnit(unit.id()), new Holder.OfClass(unit.unitClass().id()), Holder.STORE));
  }

  /** What holds for the machine as a whole. */
  public InForce of(Question question) {
    return policies.inForce(question, around);
  }

  /** What holds for one of its compartments. */
  public InForce at(Question question, Compartment compartment) {
    return policies.inForce(question, within(new Holder.OfCompartment(compartment.id())));
  }

  /** What holds for one of its positions: its own word, else that of the compartment it is at. */
  public InForce at(Question question, Position position) {
    List<Holder> nearest = new ArrayList<>();
    nearest.add(new Holder.OfPosition(position.id()));
    position.compartmentId().ifPresent(id -> nearest.add(new Holder.OfCompartment(id)));
    nearest.addAll(around);
    return policies.inForce(question, nearest);
  }

  private List<Holder> within(Holder inner) {
    List<Holder> nearest = new ArrayList<>();
    nearest.add(inner);
    nearest.addAll(around);
    return nearest;
  }
}

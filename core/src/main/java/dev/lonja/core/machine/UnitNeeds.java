package dev.lonja.core.machine;

import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.policy.Question;
import dev.lonja.core.policy.School;
import dev.lonja.core.pour.FirstPour;
import dev.lonja.core.pour.RecordedFill;
import dev.lonja.core.quantity.Volume;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What one variant or unit is made of, as far as the store supplies it.
 *
 * @param shelf what the store knows of what goes there
 * @param ways how things are done on it; the usual ways for a variant
 */
public record UnitNeeds(
    List<Compartment> compartments, List<Position> positions, ShelfFacts shelf, Ways ways) {

  /** What the workshop itself is made of: it has no compartments and no positions. */
  public static final UnitNeeds NOTHING = new UnitNeeds(List.of(), List.of());

  /** Of parts of which the store knows nothing, with everything done as usual. */
  public UnitNeeds(List<Compartment> compartments, List<Position> positions) {
    this(compartments, positions, ShelfFacts.NONE, Ways.USUAL);
  }

  public UnitNeeds {
    compartments = List.copyOf(compartments);
    positions = List.copyOf(positions);
  }

  /** The same of a machine on which things are done otherwise. */
  public UnitNeeds under(Ways other) {
    return new UnitNeeds(compartments, positions, shelf, other);
  }

  /**
   * How a fill of one of its compartments is poured. Whoever pours all at once does so of an exact
   * capacity only: of a range nobody knows beforehand how much goes in.
   *
   * @param capacity that goes in
   * @param laid what there is to pour
   * @param preFill of it into the new filter beforehand
   */
  public FirstPour firstPour(
      Compartment compartment, Capacity capacity, Volume laid, Volume preFill) {
    boolean atOnce = ways.policies().at(Question.FIRST_POUR, compartment).is(School.ALL_AT_ONCE);
    FirstPour pour =
        atOnce && !capacity.isRange()
            ? FirstPour.allAtOnce(laid)
            : shelf.fills().firstPour(compartment, capacity, laid);
    return pour.after(preFill);
  }

  /** As they stand on a day, with the fluids that have taken over by then. */
  public UnitNeeds on(LocalDate day) {
    boolean changes = compartments.stream().anyMatch(c -> c.changeOver().isPresent());
    return changes ? with(compartments.stream().map(c -> c.on(day)).toList(), positions) : this;
  }

  /** The same store's for other compartments and positions. */
  public UnitNeeds with(List<Compartment> others, List<Position> otherPositions) {
    return new UnitNeeds(others, otherPositions, shelf, ways);
  }

  /** The compartment with this id; one that the unit does not have is broken data and throws. */
  public Compartment compartment(CompartmentId id) {
    return compartments.stream()
        .filter(compartment -> compartment.id().equals(id))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("unit has no compartment " + id));
  }

  /**
   * What is in each compartment: what was poured last, else what it prefers. One that was never
   * filled and prefers nothing is absent.
   *
   * @param fills of the unit, in order of their days
   */
  public Map<CompartmentId, ItemId> inside(List<RecordedFill> fills) {
    Map<CompartmentId, ItemId> inside = new HashMap<>();
    compartments.forEach(c -> c.itemId().ifPresent(item -> inside.put(c.id(), item)));
    fills.forEach(fill -> inside.put(fill.compartmentId(), fill.itemId()));
    return inside;
  }

  /** The position with this id, where the unit has it. */
  public Optional<Position> knownPosition(PositionId id) {
    return positions.stream().filter(position -> position.id().equals(id)).findFirst();
  }

  /** The position with this id; one that the unit does not have is broken data and throws. */
  public Position position(PositionId id) {
    return knownPosition(id)
        .orElseThrow(() -> new IllegalArgumentException("unit has no position " + id));
  }
}

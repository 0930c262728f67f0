package dev.lonja.core.service;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.pour.FillPolicy;
import dev.lonja.core.pour.RecordedFill;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What one variant or unit is made of, as far as the store supplies it.
 *
 * @param boxes what comes in the boxes of its parts
 * @param fills how the store reckons and pours a fill
 */
public record UnitNeeds(
    List<Compartment> compartments, List<Position> positions, Boxes boxes, FillPolicy fills) {

  /** What the workshop itself is made of: it has no compartments and no positions. */
  public static final UnitNeeds NOTHING = new UnitNeeds(List.of(), List.of());

  /** Of parts with nothing else in their boxes, filled as every store does by default. */
  public UnitNeeds(List<Compartment> compartments, List<Position> positions) {
    this(compartments, positions, Boxes.NONE, FillPolicy.DEFAULT);
  }

  public UnitNeeds {
    compartments = List.copyOf(compartments);
    positions = List.copyOf(positions);
  }

  /** As they stand on a day, with the fluids that have taken over by then. */
  public UnitNeeds on(LocalDate day) {
    boolean changes = compartments.stream().anyMatch(c -> c.changeOver().isPresent());
    return changes ? with(compartments.stream().map(c -> c.on(day)).toList(), positions) : this;
  }

  /** The same store's for other compartments and positions. */
  UnitNeeds with(List<Compartment> others, List<Position> otherPositions) {
    return new UnitNeeds(others, otherPositions, boxes, fills);
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

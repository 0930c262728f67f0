package dev.lonja.core.service;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import java.time.LocalDate;
import java.util.List;

/**
 * What one variant or unit is made of, as far as the store supplies it.
 *
 * @param boxes what comes in the boxes of its parts
 */
public record UnitNeeds(List<Compartment> compartments, List<Position> positions, Boxes boxes) {

  /** Of parts with nothing else in their boxes. */
  public UnitNeeds(List<Compartment> compartments, List<Position> positions) {
    this(compartments, positions, Boxes.NONE);
  }

  public UnitNeeds {
    compartments = List.copyOf(compartments);
    positions = List.copyOf(positions);
  }

  /** As they stand on a day, with the fluids that have taken over by then. */
  public UnitNeeds on(LocalDate day) {
    boolean changes = compartments.stream().anyMatch(c -> c.changeOver().isPresent());
    return changes
        ? new UnitNeeds(compartments.stream().map(c -> c.on(day)).toList(), positions, boxes)
        : this;
  }

  /** The compartment with this id; one that the unit does not have is broken data and throws. */
  public Compartment compartment(CompartmentId id) {
    return compartments.stream()
        .filter(compartment -> compartment.id().equals(id))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("unit has no compartment " + id));
  }

  /** The position with this id; one that the unit does not have is broken data and throws. */
  public Position position(PositionId id) {
    return positions.stream()
        .filter(position -> position.id().equals(id))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("unit has no position " + id));
  }
}

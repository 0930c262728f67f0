package dev.lonja.core.fleet;

import java.util.Optional;

/**
 * Where something goes on a machine: to a position, into a compartment, or nowhere in particular.
 */
public record Destination(Optional<PositionId> positionId, Optional<CompartmentId> compartmentId) {

  public static final Destination NONE = new Destination(Optional.empty(), Optional.empty());

  public Destination {
    if (positionId.isPresent() && compartmentId.isPresent()) {
      throw new IllegalArgumentException(
          "positionId and compartmentId are both there; allowed is one of them");
    }
  }

  public static Destination position(PositionId id) {
    return new Destination(Optional.of(id), Optional.empty());
  }

  public static Destination compartment(CompartmentId id) {
    return new Destination(Optional.empty(), Optional.of(id));
  }
}

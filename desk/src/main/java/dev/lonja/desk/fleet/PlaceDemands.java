package dev.lonja.desk.fleet;

import dev.lonja.core.crossref.Fitting;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.item.Item;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.store.Session;
import java.util.Optional;

/** What a position on a unit demands of whatever goes there. */
public final class PlaceDemands {

  private PlaceDemands() {}

  public static Fitting of(Session session, UnitNeeds needs, Position position) {
    Optional<Compartment> compartment = position.compartmentId().map(needs::compartment);
    return Fitting.of(
        position,
        compartment,
        compartment
            .flatMap(Compartment::itemId)
            .flatMap(id -> session.items().byId(id))
            .flatMap(Item::product));
  }

  /** The same by a position's number; anywhere if there is none or the unit does not have it. */
  public static Fitting of(Session session, UnitNeeds needs, Optional<PositionId> positionId) {
    return positionId
        .flatMap(needs::knownPosition)
        .map(position -> of(session, needs, position))
        .orElse(Fitting.ANYWHERE);
  }
}

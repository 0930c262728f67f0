package dev.lonja.desk.fleet;

import dev.lonja.core.crossref.Fitting;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.store.Session;
import java.util.Optional;
import java.util.function.Function;

/** What a position on a unit demands of whatever goes there. */
public final class PlaceDemands {

  private PlaceDemands() {}

  public static Fitting of(Session session, UnitNeeds needs, Position position) {
    return of(needs, position, id -> session.items().byId(id));
  }

  /** The same where the fluids of compartments are known already. */
  public static Fitting of(
      UnitNeeds needs, Position position, Function<ItemId, Optional<Item>> items) {
    Optional<Compartment> compartment = position.compartmentId().map(needs::compartment);
    return Fitting.of(
        position,
        compartment,
        compartment.flatMap(Compartment::itemId).flatMap(items).flatMap(Item::product));
  }

  /** The same by a position's number; anywhere if there is none or the unit does not have it. */
  public static Fitting of(Session session, UnitNeeds needs, Optional<PositionId> positionId) {
    return positionId
        .flatMap(needs::knownPosition)
        .map(position -> of(session, needs, position))
        .orElse(Fitting.ANYWHERE);
  }
}

package dev.lonja.web.crossref;

import dev.lonja.core.crossref.Fitting;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.Item;
import dev.lonja.core.service.UnitNeeds;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.store.Session;
import java.util.ArrayList;
import java.util.List;
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

  /** The demands in a few words each. */
  static List<String> words(Fitting place) {
    List<String> words = new ArrayList<>();
    place.mostHeight().ifPresent(most -> words.add("at most " + most.display() + " high"));
    place.mostOuterDiameter().ifPresent(most -> words.add("at most " + most.display() + " wide"));
    if (place.needsAntiDrainValve()) {
      words.add("needs an anti-drain valve, since it does not hang upright");
    }
    if (place.needsWaterSeparator()) {
      words.add("needs a water separator");
    }
    if (!place.materials().isEmpty()) {
      words.add("of " + String.join(" or ", place.materials()));
    }
    return words;
  }

  /** The position of a unit as it stands; empty if the unit does not have it. */
  static Optional<Position> position(FleetPicture fleet, UnitId unitId, PositionId positionId) {
    return fleet.needs(unitId).positions().stream()
        .filter(position -> position.id().equals(positionId))
        .findFirst();
  }
}

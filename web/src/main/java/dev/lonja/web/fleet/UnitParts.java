package dev.lonja.web.fleet;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.quantity.TorqueRange;
import dev.lonja.core.service.FirstPour;
import dev.lonja.store.Session;
import dev.lonja.web.frame.Plate;
import java.util.Arrays;
import java.util.Optional;

/** What a unit is made of, in words. */
final class UnitParts {

  private final Session session;

  UnitParts(Session session) {
    this.session = session;
  }

  UnitView.CompartmentRow compartment(Compartment compartment) {
    return new UnitView.CompartmentRow(
        compartment.name(),
        compartment.grade(),
        plate(compartment.itemId()),
        Arrays.stream(FillCondition.values())
            .filter(condition -> compartment.capacity(condition).isPresent())
            .map(
                condition ->
                    new UnitView.CapacityRow(
                        compartment.capacity(condition).orElseThrow().display(), condition.words()))
            .toList(),
        compartment
            .capacity(FillCondition.WITH_FILTER)
            .or(() -> compartment.capacity(FillCondition.WITHOUT_FILTER))
            .map(FirstPour::of)
            .map(p -> "first pour " + p.pour().display() + ", keep " + p.reserve().display())
            .orElse(""));
  }

  UnitView.PositionRow position(Position position) {
    return new UnitView.PositionRow(
        position.name(),
        position.kind().words(),
        plate(position.itemId()),
        position.quantity(),
        position.torque().map(TorqueRange::display).orElse(""),
        position.note());
  }

  private Optional<Plate> plate(Optional<Long> itemId) {
    return itemId.flatMap(id -> session.items().byId(id)).map(Plate::of);
  }
}

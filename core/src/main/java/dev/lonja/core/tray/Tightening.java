package dev.lonja.core.tray;

import dev.lonja.core.fleet.Position;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.policy.Question;
import dev.lonja.core.policy.School;
import dev.lonja.core.quantity.TorqueRange;
import java.util.Optional;

/**
 * How what is screwed on at a position is tightened. A filter that is itself screwed on follows the
 * policy that holds there; everything else, the cover of a filter element too, has the torque that
 * the maker of the machine states.
 */
public sealed interface Tightening {

  /** To the torque that the maker of the machine states. */
  record ByTorque(TorqueRange torque) implements Tightening {}

  /**
   * So far after the gasket touches.
   *
   * @param printed what the filter says; empty if nothing of it is on file and the box must be read
   */
  record ByTurns(Optional<String> printed) implements Tightening {}

  /** By hand, without a tool. */
  record ByHand() implements Tightening {}

  /**
   * How the work at a position ends; empty where nothing is screwed on or no torque is on file.
   * Where a torque is asked for and the maker states none, and where nothing is printed, a filter
   * is turned after contact.
   *
   * @param item that goes on, if one does
   */
  static Optional<Tightening> of(UnitNeeds needs, Position position, Optional<ItemId> item) {
    Optional<Tightening> torque = position.torque().map(ByTorque::new);
    return item.flatMap(id -> Optional.ofNullable(needs.shelf().spinOns().get(id)))
        .map(printed -> ofSpinOn(school(needs, position), torque, printed))
        .or(() -> torque);
  }

  private static School school(UnitNeeds needs, Position position) {
    return needs.ways().policies().at(Question.TIGHTENING, position).school();
  }

  private static Tightening ofSpinOn(
      School school, Optional<Tightening> torque, Optional<String> printed) {
    return switch (school) {
      case MAKERS_TORQUE -> torque.orElse(new ByTurns(printed));
      case BY_HAND -> new ByHand();
      default -> new ByTurns(printed);
    };
  }
}

package dev.lonja.core.service;

import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.TorqueRange;
import dev.lonja.core.quantity.Volume;
import java.time.LocalDate;
import java.util.Optional;

/**
 * One way in which a unit differs from its variant.
 *
 * @param reason in a person's words; empty for what was learned
 * @param since the day from which it holds
 */
public record Deviation(
    long id, Change change, Source source, String reason, LocalDate since, String actor) {

  /** Where the deviating value comes from. */
  public enum Source {
    /** Stated for this unit. */
    UNIT,
    /** Proposed from what was recorded here, and accepted by a person. */
    LEARNED
  }

  /** What is different. */
  public sealed interface Change {

    /** The item that is preferred instead, where that is what is different. */
    default Optional<ItemId> item() {
      return Optional.empty();
    }

    /** The unit does not have the compartment, whatever the catalogue says. */
    record NoCompartment(CompartmentId compartmentId) implements Change {}

    /** The unit does not have the position, whatever the catalogue says. */
    record NoPosition(PositionId positionId) implements Change {}

    /** The task is not done on this unit. */
    record NoTask(TaskId taskId) implements Change {}

    /** Another preferred fluid. */
    record OtherFluid(CompartmentId compartmentId, ItemId itemId) implements Change {
      @Override
      public Optional<ItemId> item() {
        return Optional.of(itemId);
      }
    }

    /**
     * Another preferred part.
     *
     * @param filterVolume the oil the part takes up, where known
     */
    record OtherPart(PositionId positionId, ItemId itemId, Optional<Volume> filterVolume)
        implements Change {
      @Override
      public Optional<ItemId> item() {
        return Optional.of(itemId);
      }
    }

    /** Another capacity in one condition. */
    record OtherCapacity(CompartmentId compartmentId, FillCondition condition, Capacity capacity)
        implements Change {}

    /** Another torque. */
    record OtherTorque(PositionId positionId, TorqueRange torque) implements Change {}

    /** Another interval; it takes the place of the regular one, of a first one and of severity. */
    record OtherInterval(TaskId taskId, Interval interval) implements Change {}
  }
}

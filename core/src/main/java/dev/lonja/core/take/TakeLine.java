package dev.lonja.core.take;

import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.policy.InForce;
import dev.lonja.core.pour.FirstPour;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.TaskId;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/**
 * One thing that an occurrence takes.
 *
 * @param taskId the task that asks for it
 * @param place the compartment or position it goes to
 * @param destination the position or compartment, as the machine's file knows it
 * @param expected what the forecast counts, chance and handling loss included
 * @param toLay what belongs on the tray
 * @param ways the policies that made it what it is; none where nothing was to be chosen
 */
public record TakeLine(
    TaskId taskId,
    ItemId itemId,
    String place,
    Destination destination,
    Quantity expected,
    Quantity toLay,
    Reason reason,
    List<InForce> ways) {

  public TakeLine {
    ways = List.copyOf(ways);
  }

  /** A line on which nothing was to be chosen. */
  public TakeLine(
      TaskId taskId,
      ItemId itemId,
      String place,
      Destination destination,
      Quantity expected,
      Quantity toLay,
      Reason reason) {
    this(taskId, itemId, place, destination, expected, toLay, reason, List.of());
  }

  /** This line with so much less to lay and to expect, none of either below zero. */
  TakeLine less(Quantity covered) {
    return new TakeLine(
        taskId,
        itemId,
        place,
        destination,
        expected.minus(covered).atLeastZero(),
        toLay.minus(covered).atLeastZero(),
        reason,
        ways);
  }

  /** Why the line is there, for the view to put into words. */
  public sealed interface Reason {
    /**
     * A fill.
     *
     * @param condition in which the capacity is on file
     * @param filledIn the state in which the compartment is really filled
     * @param capacity what goes in, from low to high
     * @param filterVolume what the new filter adds to a capacity on file without it
     */
    record Fill(
        FillCondition condition,
        FillCondition filledIn,
        Capacity capacity,
        Optional<Volume> filterVolume,
        BigDecimal handlingLoss,
        FirstPour firstPour)
        implements Reason {}

    /** A part that is replaced every time. */
    record Part(String note) implements Reason {}

    /** A seal that is always new when its compartment is drained. */
    record NewSeal(String compartment, String note) implements Reason {}

    /** A plug that is new together with its seal. */
    record NewPlug(String compartment, String note) implements Reason {}

    /** A part that is replaced if inspection says so. */
    record OnInspection(ReplacementChance chance, String note) implements Reason {}

    /** A part that may break in the work and is brought along in case. */
    record Insurance(ReplacementChance chance, String note) implements Reason {}
  }
}

package dev.lonja.core.take;

import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.mixture.Mix;
import dev.lonja.core.policy.InForce;
import dev.lonja.core.pour.FirstPour;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.TaskId;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

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

  /**
   * This line with so much less to lay, not below zero; of an uncertain one the same share is
   * expected of what is left.
   */
  TakeLine less(Quantity covered) {
    Quantity left = toLay.minus(covered).atLeastZero();
    Quantity expectedOfIt =
        expected.equals(toLay)
            ? left
            : expected.times(left.amount().divide(toLay.amount(), MathContext.DECIMAL64));
    return new TakeLine(taskId, itemId, place, destination, expectedOfIt, left, reason, ways);
  }

  /** The same of so much, which is above zero and no more than this asks for. */
  public TakeLine asking(Quantity part) {
    return less(toLay.minus(part));
  }

  /** The same, of which one more policy is named. */
  TakeLine by(InForce way) {
    List<InForce> more = new ArrayList<>(ways);
    more.add(way);
    return new TakeLine(taskId, itemId, place, destination, expected, toLay, reason, more);
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
     * @param mix what of it is water, for a fluid that is mixed
     */
    record Fill(
        FillCondition condition,
        FillCondition filledIn,
        Capacity capacity,
        Optional<Volume> filterVolume,
        BigDecimal handlingLoss,
        FirstPour firstPour,
        Optional<Mix> mix)
        implements Reason {}

    /** What a compartment is flushed with before it is drained. */
    record Flush(String compartment) implements Reason {}

    /** A part that is replaced every time. */
    record Part(String note) implements Reason {}

    /** Grease for so many points, with so many strokes at each. */
    record Greasing(int points, int strokes, String note) implements Reason {}

    /** A seal that is always new when its compartment is drained. */
    record NewSeal(String compartment, String note) implements Reason {}

    /** A plug that is new together with its seal. */
    record NewPlug(String compartment, String note) implements Reason {}

    /** A part that is replaced if inspection says so. */
    record OnInspection(ReplacementChance chance, String note) implements Reason {}

    /**
     * A kit in place of what it covers.
     *
     * @param lines how many it stands for
     * @param tasks those that ask for what it covers
     * @param back what of it is expected back on the shelf, above zero
     */
    record Kit(int lines, Set<TaskId> tasks, Map<ItemId, Quantity> back) implements Reason {
      public Kit {
        tasks = Set.copyOf(tasks);
        back = Map.copyOf(back);
      }
    }

    /** A part that may break in the work and is brought along in case. */
    record Insurance(ReplacementChance chance, String note) implements Reason {}
  }
}

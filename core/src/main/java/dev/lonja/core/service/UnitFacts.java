package dev.lonja.core.service;

import dev.lonja.core.calendar.LayUp;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.UnitNeeds;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What is known of a unit that decides when its tasks come round and what they take.
 *
 * @param fluidClasses by compartment, the classes that the product in it claims
 */
public record UnitFacts(List<LayUp> layUps, Map<CompartmentId, List<String>> fluidClasses) {

  public UnitFacts {
    layUps = List.copyOf(layUps);
    fluidClasses = Map.copyOf(fluidClasses);
  }

  /**
   * The facts of a unit with what is in its compartments.
   *
   * @param inside by compartment, the item that was poured
   * @param classes by item, what the fluid in it claims; a compartment with another item claims
   *     nothing
   */
  public static UnitFacts of(
      List<LayUp> layUps, Map<CompartmentId, ItemId> inside, Map<ItemId, List<String>> classes) {
    Map<CompartmentId, List<String>> claimed = new HashMap<>();
    inside.forEach(
        (compartment, item) -> {
          if (classes.containsKey(item)) {
            claimed.put(compartment, classes.get(item));
          }
        });
    return new UnitFacts(layUps, claimed);
  }

  /** The task as it stands on this unit with what is in its compartments now. */
  public Task applyTo(Task task, UnitNeeds needs) {
    if (task.timing() instanceof Timing.BeforeLayUp before) {
      return task.withTiming(new Timing.BeforeLayUp(before.leadDays(), layUps));
    }
    if (task.timing() instanceof Timing.AfterLayUp) {
      return task.withTiming(new Timing.AfterLayUp(layUps));
    }
    if (task.action() instanceof Task.Action.ChangeFluid change) {
      List<String> classes = fluidClasses.getOrDefault(change.compartmentId(), List.of());
      return task.byInterval().map(timed -> task.withTiming(timed.whileIn(classes))).orElse(task);
    }
    if (task.action() instanceof Task.Action.Inspect inspect
        && inspect.odds() instanceof ReplacementChance) {
      Position.Kind kind = needs.position(inspect.positionId()).kind();
      return task.withAction(inspect.at(needs.ways().chance(kind)));
    }
    return task;
  }
}

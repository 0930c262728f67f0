package dev.lonja.core.machine;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.policy.Question;
import dev.lonja.core.policy.School;
import java.util.Map;
import java.util.Optional;

/**
 * What goes into compartments whose owners want as few products as their specs allow.
 *
 * @param byPlace what the least set of products assigns to each; a compartment that is absent keeps
 *     what is chosen for it
 */
public record FluidOptions(Map<CompartmentId, ItemId> byPlace) {

  /** Nothing to choose. */
  public static final FluidOptions NONE = new FluidOptions(Map.of());

  public FluidOptions {
    byPlace = Map.copyOf(byPlace);
  }

  /**
   * What a machine is made of with the fluids that the school in force at each compartment takes.
   * What is set to take over from a day on stays as a person set it.
   */
  public UnitNeeds chosen(UnitNeeds needs) {
    return byPlace.isEmpty()
        ? needs
        : needs.with(
            needs.compartments().stream().map(place -> chosen(needs, place)).toList(),
            needs.positions());
  }

  private Compartment chosen(UnitNeeds needs, Compartment place) {
    boolean isAsked =
        place.changeOver().isEmpty()
            && needs.ways().policies().at(Question.ONE_OIL, place).is(School.ONE_PRODUCT);
    return Optional.ofNullable(byPlace.get(place.id()))
        .filter(item -> isAsked && !place.itemId().equals(Optional.of(item)))
        .map(place::withItem)
        .orElse(place);
  }
}

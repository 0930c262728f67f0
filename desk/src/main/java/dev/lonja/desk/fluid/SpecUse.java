package dev.lonja.desk.fluid;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.Variant;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.Family;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.store.Session;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A spec in use: a compartment of a variant, and the units that have it.
 *
 * @param preferred the item that the variant prefers there today
 */
public record SpecUse(
    Variant variant, Compartment compartment, List<Unit> units, Optional<Item> preferred) {

  /** Every compartment of every unit in service, once for each variant, in order of the units. */
  public static List<SpecUse> all(Session session, FleetPicture fleet) {
    Map<CompartmentId, List<Unit>> units = new LinkedHashMap<>();
    Map<CompartmentId, Compartment> compartments = new LinkedHashMap<>();
    for (Unit unit : fleet.units()) {
      for (Compartment compartment : fleet.needs(unit.id()).compartments()) {
        units.computeIfAbsent(compartment.id(), id -> new ArrayList<>()).add(unit);
      }
      fleet
          .variants()
          .get(unit.variant().id())
          .on(fleet.today())
          .compartments()
          .forEach(c -> compartments.putIfAbsent(c.id(), c));
    }
    Map<ItemId, Item> items = new LinkedHashMap<>();
    session.items().ofFamily(Family.FLUID).forEach(item -> items.put(item.id(), item));
    List<SpecUse> uses = new ArrayList<>();
    units.forEach(
        (id, having) ->
            uses.add(
                new SpecUse(
                    having.get(0).variant(),
                    compartments.get(id),
                    having,
                    compartments.get(id).itemId().map(items::get))));
    return uses;
  }

  public Spec spec() {
    return compartment.spec();
  }

  /** "Engine sump, Corvane T7 4.2". */
  public String display() {
    return compartment.name() + ", " + variant.display();
  }

  public boolean isOfClass(String code) {
    return units.stream().anyMatch(unit -> unit.unitClass().code().equals(code));
  }
}

package dev.lonja.core.choice;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.forecast.ServiceDemand;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.quantity.Volume;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A compartment of a variant, by those of its units into which the same product is poured today.
 *
 * @param today the product that is poured; empty if none is chosen
 * @param litres expected in a year, by unit; zero where it is filled but not within the year
 */
public record FluidUse(
    Compartment compartment, Optional<ProductId> today, Map<UnitId, Volume> litres) {

  public FluidUse {
    litres = Collections.unmodifiableMap(new LinkedHashMap<>(litres));
  }

  /** One compartment with one product. */
  private record Key(CompartmentId compartmentId, Optional<ProductId> today) {}

  /**
   * What is in use, in order of the units and their compartments. A compartment without a chosen
   * item that no demand fills is not in use.
   *
   * @param units what each is made of, in order
   * @param products of the items that are fluids
   * @param year what is expected to be filled within it
   */
  public static List<FluidUse> of(
      Map<UnitId, UnitNeeds> units,
      Map<ItemId, ProductId> products,
      Collection<ServiceDemand> year) {
    Map<UnitId, Map<CompartmentId, Volume>> filled = litres(year);
    Map<Key, FluidUse> uses = new LinkedHashMap<>();
    units.forEach(
        (unit, needs) -> {
          for (Compartment compartment : needs.compartments()) {
            Volume litres =
                filled.getOrDefault(unit, Map.of()).getOrDefault(compartment.id(), Volume.ZERO);
            if (compartment.itemId().isPresent() || !litres.equals(Volume.ZERO)) {
              Optional<ProductId> product = compartment.itemId().map(products::get);
              uses.merge(
                  new Key(compartment.id(), product),
                  new FluidUse(compartment, product, Map.of(unit, litres)),
                  FluidUse::and);
            }
          }
        });
    return List.copyOf(uses.values());
  }

  private static Map<UnitId, Map<CompartmentId, Volume>> litres(Collection<ServiceDemand> year) {
    Map<UnitId, Map<CompartmentId, Volume>> litres = new HashMap<>();
    for (ServiceDemand demand : year) {
      Volume expected = new Volume(demand.line().expected().millionths());
      demand
          .line()
          .destination()
          .compartmentId()
          .ifPresent(
              id ->
                  litres
                      .computeIfAbsent(demand.unitId(), unit -> new HashMap<>())
                      .merge(id, expected, Volume::plus));
    }
    return litres;
  }

  private FluidUse and(FluidUse other) {
    Map<UnitId, Volume> all = new LinkedHashMap<>(litres);
    all.putAll(other.litres);
    return new FluidUse(compartment, today, all);
  }

  /** Litres in a year of all its units. */
  public Volume litresPerYear() {
    return litres.values().stream().reduce(Volume.ZERO, Volume::plus);
  }
}

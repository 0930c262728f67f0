package dev.lonja.desk.fleet;

import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.FilterOptions;
import dev.lonja.core.machine.FluidOptions;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.machine.Ways;
import dev.lonja.core.policy.Policies;
import dev.lonja.core.policy.UnitPolicies;
import dev.lonja.core.service.IntervalPolicy;
import dev.lonja.store.Session;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What units share, as it was read.
 *
 * @param policies how things are done
 * @param variants by variant, what its units are made of
 * @param fluidClasses by item, the classes that the fluid in it meets, with and without the
 *     organisation's name
 * @param chances by class and kind of position, how inspections ended
 * @param filters what may go where filters sit, if anybody chooses among makes
 * @param fluids what goes into compartments, if anybody wants as few products as can be
 * @param kits that the store keeps
 */
record CommonInputs(
    Policies policies,
    Map<Long, UnitNeeds> variants,
    Map<ItemId, List<String>> fluidClasses,
    Map<Long, Map<Position.Kind, ReplacementChance>> chances,
    FilterOptions filters,
    FluidOptions fluids,
    KitPrices kits) {

  static CommonInputs load(Session session) {
    Policies policies = session.policies().all();
    Map<Long, UnitNeeds> variants = session.fleet().needs(session.shelf());
    return new CommonInputs(
        policies,
        variants,
        fluidClasses(session),
        session.records().chances(),
        FilterMakes.load(session, policies, variants.values()),
        FluidSets.load(session, policies, variants),
        KitPrices.load(session));
  }

  private static Map<ItemId, List<String>> fluidClasses(Session session) {
    Map<ProductId, List<String>> byProduct = new HashMap<>();
    for (ProductClaims label : session.labels().products()) {
      byProduct.put(
          label.product().id(),
          label.met().stream()
              .flatMap(met -> Stream.of(met.name(), met.text()))
              .distinct()
              .toList());
    }
    Map<ItemId, List<String>> byItem = new HashMap<>();
    session.products().ofItems().forEach((item, id) -> byItem.put(item, byProduct.get(id)));
    return byItem;
  }

  /** These, by the objects of the earlier ones where they say the same. */
  CommonInputs like(CommonInputs known) {
    Map<Long, UnitNeeds> same = new HashMap<>();
    variants.forEach((id, needs) -> same.put(id, same(needs, known.variants.get(id))));
    return new CommonInputs(
        same(policies, known.policies),
        same,
        same(fluidClasses, known.fluidClasses),
        same(chances, known.chances),
        same(filters, known.filters),
        same(fluids, known.fluids),
        same(kits, known.kits));
  }

  private static <T> T same(T now, @Nullable T known) {
    return now.equals(known) ? known : now;
  }

  /** The same under other policies. */
  CommonInputs under(Policies other, Session session) {
    return new CommonInputs(
        other,
        variants,
        fluidClasses,
        chances,
        FilterMakes.load(session, other, variants.values()),
        FluidSets.load(session, other, variants),
        kits);
  }

  /** What of it concerns one unit. */
  Share of(Unit unit) {
    Ways ways =
        new Ways(
            UnitPolicies.of(policies, unit),
            chances.getOrDefault(unit.unitClass().id(), Map.of()),
            Optional.of(unit.variant()));
    return new Share(variants.get(unit.variant().id()), fluidClasses, ways, filters, fluids);
  }

  /**
   * What concerns one unit.
   *
   * @param variant what it would be made of without its deviations
   * @param ways how things are done on it
   * @param filters what may go where its filters sit
   * @param fluids what goes into its compartments
   */
  record Share(
      UnitNeeds variant,
      Map<ItemId, List<String>> fluidClasses,
      Ways ways,
      FilterOptions filters,
      FluidOptions fluids) {

    IntervalPolicy intervals() {
      return IntervalPolicy.of(ways.policies());
    }
  }
}

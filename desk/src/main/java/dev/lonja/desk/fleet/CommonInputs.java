package dev.lonja.desk.fleet;

import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.machine.Ways;
import dev.lonja.core.policy.Policies;
import dev.lonja.core.policy.UnitPolicies;
import dev.lonja.core.service.IntervalPolicy;
import dev.lonja.store.Session;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
 */
record CommonInputs(
    Policies policies,
    Map<Long, UnitNeeds> variants,
    Map<ItemId, List<String>> fluidClasses,
    Map<Long, Map<Position.Kind, ReplacementChance>> chances) {

  static CommonInputs load(Session session) {
    return new CommonInputs(
        session.policies().all(),
        session.fleet().needs(session.shelf()),
        fluidClasses(session),
        session.records().chances());
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
        same(chances, known.chances));
  }

  private static <T> T same(T now, @Nullable T known) {
    return now.equals(known) ? known : now;
  }

  /** The same under other policies. */
  CommonInputs under(Policies other) {
    return new CommonInputs(other, variants, fluidClasses, chances);
  }

  /** What of it concerns one unit. */
  Share of(Unit unit) {
    Ways ways =
        new Ways(
            UnitPolicies.of(policies, unit), chances.getOrDefault(unit.unitClass().id(), Map.of()));
    return new Share(variants.get(unit.variant().id()), fluidClasses, ways);
  }

  /**
   * What concerns one unit.
   *
   * @param variant what it would be made of without its deviations
   * @param ways how things are done on it
   */
  record Share(UnitNeeds variant, Map<ItemId, List<String>> fluidClasses, Ways ways) {

    IntervalPolicy intervals() {
      return IntervalPolicy.of(ways.policies());
    }
  }
}

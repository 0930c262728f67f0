package dev.lonja.desk.fleet;

import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.service.IntervalPolicy;
import dev.lonja.core.service.UnitNeeds;
import dev.lonja.store.Session;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What units share, as it was read.
 *
 * @param policy the school of intervals in force
 * @param variants by variant, what its units are made of
 * @param fluidClasses by item, the classes that the fluid in it meets, with and without the
 *     organisation's name
 * @param chances by class and kind of position, how inspections ended
 */
record CommonInputs(
    IntervalPolicy policy,
    Map<Long, UnitNeeds> variants,
    Map<ItemId, List<String>> fluidClasses,
    Map<Long, Map<Position.Kind, ReplacementChance>> chances) {

  static CommonInputs load(Session session) {
    return new CommonInputs(
        session.settings().intervalPolicy(),
        session.fleet().needs(session.settings().fillPolicy()),
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
        same(policy, known.policy),
        same,
        same(fluidClasses, known.fluidClasses),
        same(chances, known.chances));
  }

  private static <T> T same(T now, @Nullable T known) {
    return now.equals(known) ? known : now;
  }

  /** What of it concerns one unit. */
  Share of(Unit unit) {
    return new Share(
        policy,
        variants.get(unit.variant().id()),
        fluidClasses,
        chances.getOrDefault(unit.unitClass().id(), Map.of()));
  }

  /**
   * What concerns one unit.
   *
   * @param variant what it would be made of without its deviations
   * @param chances by kind of position, of its class
   */
  record Share(
      IntervalPolicy policy,
      UnitNeeds variant,
      Map<ItemId, List<String>> fluidClasses,
      Map<Position.Kind, ReplacementChance> chances) {

    Share under(IntervalPolicy other) {
      return new Share(other, variant, fluidClasses, chances);
    }
  }
}

package dev.lonja.desk.fleet;

import dev.lonja.core.choice.LeastSet;
import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fluid.FluidReference;
import dev.lonja.core.fluid.Level;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.fluid.SpecJudge;
import dev.lonja.core.grade.Climate;
import dev.lonja.core.grade.Window;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.FluidOptions;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.part.Family;
import dev.lonja.core.policy.Policies;
import dev.lonja.core.policy.Question;
import dev.lonja.core.policy.School;
import dev.lonja.core.policy.UnitPolicies;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.quantity.Volume;
import dev.lonja.store.Session;
import dev.lonja.store.query.UnitScope;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Finds the fewest products that serve every compartment whose owner wants one product wherever all
 * specs allow it, if anybody does; of equally few the cheapest. What nothing on the shelf serves
 * keeps what is chosen for it.
 */
final class FluidSets {

  /** So dear is it to keep a product that one less always pays. */
  private static final long HOLDING_MINOR = 100_000_000;

  private static final UnitId ALL = new UnitId(1);
  private static final Volume LITRE = Volume.ofLitres("1");

  private final Session session;
  private final Map<Long, UnitNeeds> variants;
  private final FluidReference reference;
  private final Climate climate;
  private final Map<ProductId, List<Item>> packs;
  private final Map<ItemId, UnitPrice> prices;

  private FluidSets(Session session, Map<Long, UnitNeeds> variants) {
    this.session = session;
    this.variants = variants;
    this.reference = session.fluidReference();
    this.climate = session.climate().inForce();
    this.packs =
        session.items().ofFamily(Family.FLUID).stream()
            .filter(item -> item.keeping().retiredOn().isEmpty() && !item.keeping().runningOut())
            .filter(item -> item.product().isPresent())
            .collect(Collectors.groupingBy(item -> item.product().orElseThrow().id()));
    this.prices =
        session
            .supplies()
            .lowestPrices(packs.values().stream().flatMap(List::stream).map(Item::id).toList());
  }

  /** Nothing as long as nobody departs from a product for each compartment. */
  static FluidOptions load(Session session, Policies policies, Map<Long, UnitNeeds> variants) {
    return policies.departsFrom(Question.ONE_OIL)
        ? new FluidSets(session, variants).options(policies)
        : FluidOptions.NONE;
  }

  private FluidOptions options(Policies policies) {
    List<Compartment> places = places(policies);
    List<LeastSet.Offer> offers =
        session.labels().products().stream().flatMap(read -> offer(read).stream()).toList();
    if (places.isEmpty() || offers.isEmpty()) {
      return FluidOptions.NONE;
    }
    Map<ItemId, ProductId> products = session.products().ofItems();
    List<LeastSet.Demand> demands =
        places.stream()
            .map(
                place ->
                    new LeastSet.Demand(
                        place.id().value(),
                        Map.of(ALL, litres(place)),
                        covering(place),
                        place.itemId().map(products::get)))
            .toList();
    LeastSet.Plan plan = LeastSet.of(demands, offers, LeastSet.Choice.FREE);
    Map<CompartmentId, ItemId> chosen = new HashMap<>();
    for (Compartment place : places) {
      Optional.ofNullable(plan.assignment().get(place.id().value()))
          .filter(product -> !place.itemId().map(products::get).equals(Optional.of(product)))
          .flatMap(this::pack)
          .ifPresent(item -> chosen.put(place.id(), item));
    }
    return new FluidOptions(chosen);
  }

  /** Of the machines in the fleet, each compartment once. */
  private List<Compartment> places(Policies policies) {
    Map<CompartmentId, Compartment> places = new HashMap<>();
    for (Unit unit : session.fleet().units(UnitScope.ALL)) {
      UnitPolicies own = UnitPolicies.of(policies, unit);
      variants.get(unit.variant().id()).compartments().stream()
          .filter(place -> place.itemId().isPresent() && place.changeOver().isEmpty())
          .filter(place -> own.at(Question.ONE_OIL, place).is(School.ONE_PRODUCT))
          .forEach(place -> places.put(place.id(), place));
    }
    List<Compartment> inOrder = new ArrayList<>(places.values());
    inOrder.sort(Comparator.comparing(Compartment::id));
    return inOrder;
  }

  private static Volume litres(Compartment place) {
    return place.capacities().values().stream()
        .map(Capacity::middle)
        .max(Comparator.naturalOrder())
        .orElse(LITRE);
  }

  private Set<ProductId> covering(Compartment place) {
    SpecJudge judge = new SpecJudge(place.spec(), Window.year(climate), reference);
    return session.labels().products().stream()
        .filter(read -> read.product().kind() == place.spec().kind())
        .filter(read -> judge.judge(read).overall().compareTo(Level.MEETS) <= 0)
        .map(read -> read.product().id())
        .collect(Collectors.toSet());
  }

  /** A product on the shelf with a price; without one nobody can say what it would cost. */
  private Optional<LeastSet.Offer> offer(ProductClaims read) {
    return packs.getOrDefault(read.product().id(), List.of()).stream()
        .flatMap(item -> Optional.ofNullable(prices.get(item.id())).stream())
        .min(Comparator.comparing(UnitPrice::tenThousandthsOfMinor))
        .map(
            price ->
                new LeastSet.Offer(
                    read.product().id(),
                    read.product().display(),
                    price,
                    new Money(HOLDING_MINOR, session.settings().currency())));
  }

  /** The pack in which a litre costs least. */
  private Optional<ItemId> pack(ProductId product) {
    return packs.getOrDefault(product, List.of()).stream()
        .filter(item -> prices.containsKey(item.id()))
        .min(
            Comparator.comparing((Item item) -> prices.get(item.id()).tenThousandthsOfMinor())
                .thenComparing(Item::id))
        .map(Item::id);
  }
}

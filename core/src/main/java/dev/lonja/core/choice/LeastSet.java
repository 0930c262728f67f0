package dev.lonja.core.choice;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.quantity.Volume;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * The least set of products: those that cover every spec in use at the least yearly cost, which is
 * the holding cost of each chosen product plus, for each spec, its litres per year at the price of
 * the product assigned to it. Each spec's cost is rounded half away from zero to the minor unit;
 * the optimum is exact in those. Ties go to fewer products, then to the names in order.
 *
 * <p>Meant for up to some hundred products and thousands of specs: specs that the same products
 * cover are one to the solver.
 */
public final class LeastSet {

  private final List<Demand> demands;
  private final List<Offer> offers;
  private final Choice choice;

  /**
   * A spec in use.
   *
   * @param litresPerYear by unit
   * @param covering the products that may serve it
   * @param today the product that serves it now, if one does
   */
  public record Demand(
      long id,
      Map<UnitId, Volume> litresPerYear,
      Set<ProductId> covering,
      Optional<ProductId> today) {

    public Demand {
      litresPerYear = Map.copyOf(litresPerYear);
      covering = Set.copyOf(covering);
    }

    Volume litres() {
      return litresPerYear.values().stream().reduce(Volume.ZERO, Volume::plus);
    }

    /** Without a unit; empty if no other unit has the spec. */
    Optional<Demand> without(UnitId unit) {
      if (!litresPerYear.containsKey(unit)) {
        return Optional.of(this);
      }
      Map<UnitId, Volume> others = new TreeMap<>(litresPerYear);
      others.remove(unit);
      return others.isEmpty()
          ? Optional.empty()
          : Optional.of(new Demand(id, others, covering, today));
    }
  }

  /**
   * A product that could be kept.
   *
   * @param holding what keeping it costs a year, 0 or more
   */
  public record Offer(ProductId productId, String name, UnitPrice price, Money holding) {}

  /** What the person asked for: products that must not, and products that must be among the set. */
  public record Choice(Set<ProductId> forbidden, Set<ProductId> kept) {
    public static final Choice FREE = new Choice(Set.of(), Set.of());

    public Choice {
      forbidden = Set.copyOf(forbidden);
      kept = Set.copyOf(kept);
      if (forbidden.stream().anyMatch(kept::contains)) {
        throw new IllegalArgumentException(
            "forbidden is " + forbidden + "; allowed is none of those kept: " + kept);
      }
    }
  }

  /**
   * The optimum.
   *
   * @param products that are kept, in order of their names
   * @param assignment by spec; specs that nothing covers are absent
   * @param cost of the set a year
   * @param costToday of the products that serve the same specs now; specs without one count nothing
   * @param uncovered the specs that no allowed product covers, left out of both costs
   */
  public record Plan(
      List<ProductId> products,
      Map<Long, ProductId> assignment,
      Money cost,
      Money costToday,
      List<Long> uncovered) {

    /** What today costs more than the set; below zero if it costs less. */
    public Money saving() {
      return costToday.minus(cost);
    }
  }

  private LeastSet(List<Demand> demands, List<Offer> offers, Choice choice) {
    this.demands = demands;
    this.offers = offers;
    this.choice = choice;
  }

  /**
   * @param offers at least one, all in one currency; products that cover a demand and are not
   *     offered count as not there
   */
  public static Plan of(List<Demand> demands, List<Offer> offers, Choice choice) {
    List<Offer> sorted =
        offers.stream()
            .sorted(Comparator.comparing(Offer::name).thenComparing(Offer::productId))
            .toList();
    return new LeastSet(demands, sorted, choice).plan();
  }

  /**
   * By unit, the products of the plan that it alone forces: without its specs the optimum does
   * without them. Costs one optimum a unit.
   */
  public static Map<UnitId, List<ProductId>> forcedBy(
      List<Demand> demands, List<Offer> offers, Choice choice, Plan plan) {
    Set<UnitId> units =
        demands.stream()
            .flatMap(demand -> demand.litresPerYear().keySet().stream())
            .collect(Collectors.toCollection(TreeSet::new));
    Map<UnitId, List<ProductId>> forced = new LinkedHashMap<>();
    for (UnitId unit : units) {
      List<Demand> others =
          demands.stream().flatMap(demand -> demand.without(unit).stream()).toList();
      List<ProductId> still = of(others, offers, choice).products();
      List<ProductId> only =
          plan.products().stream().filter(product -> !still.contains(product)).toList();
      if (!only.isEmpty()) {
        forced.put(unit, only);
      }
    }
    return forced;
  }

  private Plan plan() {
    List<Demand> covered = demands.stream().filter(d -> !covering(d).isEmpty()).toList();
    List<Offer> chosen = new SetCoverModel(groups(covered), mayBeChosen(), choice.kept()).optimum();
    Map<Long, ProductId> assignment = new LinkedHashMap<>();
    Money cost = holding(chosen);
    for (Demand demand : covered) {
      Offer offer = cheapest(chosen.stream().filter(o -> covers(demand, o)).toList(), demand);
      assignment.put(demand.id(), offer.productId());
      cost = cost.plus(costOf(demand.litres(), offer));
    }
    return new Plan(
        chosen.stream().map(Offer::productId).toList(),
        assignment,
        cost,
        costToday(covered),
        demands.stream().filter(d -> covering(d).isEmpty()).map(Demand::id).toList());
  }

  /** Specs that the same products cover, with the cost of each of those over all of them. */
  private List<SetCoverModel.Group> groups(List<Demand> covered) {
    Map<List<ProductId>, List<Demand>> byCovering =
        covered.stream()
            .collect(
                Collectors.groupingBy(
                    demand -> covering(demand).stream().map(Offer::productId).toList(),
                    LinkedHashMap::new,
                    Collectors.toList()));
    List<SetCoverModel.Group> groups = new ArrayList<>();
    for (List<Demand> alike : byCovering.values()) {
      Map<ProductId, Long> costs = new LinkedHashMap<>();
      for (Offer offer : covering(alike.get(0))) {
        long sum = 0;
        for (Demand demand : alike) {
          sum = Math.addExact(sum, costOf(demand.litres(), offer).minor());
        }
        costs.put(offer.productId(), sum);
      }
      groups.add(new SetCoverModel.Group(costs));
    }
    return groups;
  }

  private List<Offer> mayBeChosen() {
    return offers.stream().filter(o -> !choice.forbidden().contains(o.productId())).toList();
  }

  private List<Offer> covering(Demand demand) {
    return mayBeChosen().stream().filter(offer -> covers(demand, offer)).toList();
  }

  private static boolean covers(Demand demand, Offer offer) {
    return demand.covering().contains(offer.productId());
  }

  private static Offer cheapest(List<Offer> covering, Demand demand) {
    return covering.stream()
        .min(Comparator.comparing(offer -> costOf(demand.litres(), offer).minor()))
        .orElseThrow();
  }

  private static Money costOf(Volume litres, Offer offer) {
    return offer.price().valueOf(Quantity.of(litres));
  }

  private Money costToday(List<Demand> covered) {
    Map<ProductId, Offer> byProduct =
        offers.stream().collect(Collectors.toMap(Offer::productId, offer -> offer));
    Set<Offer> inUse = new LinkedHashSet<>();
    Money cost = holding(List.of());
    for (Demand demand : covered) {
      Optional<Offer> offer = demand.today().map(byProduct::get);
      if (offer.isPresent()) {
        inUse.add(offer.get());
        cost = cost.plus(costOf(demand.litres(), offer.get()));
      }
    }
    return cost.plus(holding(inUse));
  }

  private Money holding(Collection<Offer> kept) {
    return kept.stream()
        .map(Offer::holding)
        .reduce(Money.zero(offers.get(0).price().currency()), Money::plus);
  }
}

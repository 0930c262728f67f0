package dev.lonja.desk.choice;

import dev.lonja.core.choice.LeastSet;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fluid.Level;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.fluid.SpecJudge;
import dev.lonja.core.forecast.Demand;
import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.quantity.Volume;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.store.Session;
import dev.lonja.store.fluid.StudyRepository.Line;
import dev.lonja.store.fluid.StudyRepository.Study;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Currency;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Gathers what a study needs: the specs in use with their litres a year from the plan line, which
 * products cover each, and what each product costs. A litre costs what the cheapest pack is bought
 * for, else what the stock is worth. Keeping a product costs a stated amount a year and 18 % of one
 * of its packs, the smallest.
 */
public final class StudyMaker {

  private static final int WEEKS = 52;
  private static final BigDecimal HOLDING_RATE = new BigDecimal("0.18");

  private final Session session;
  private final LocalDate today;
  private final FluidBook book;
  private final FleetPicture fleet;
  private final Currency currency;

  /** What a person asks for. */
  public record Wish(
      String title, Level allowed, Money holding, Set<ProductId> forbidden, Set<ProductId> kept) {}

  /** A spec in use by those of its units that take the same item today. */
  private record Use(
      CompartmentId compartmentId, Optional<ProductId> today, Map<UnitId, Volume> litres) {}

  public StudyMaker(Session session, LocalDate today) {
    this.session = session;
    this.today = today;
    this.book = FluidBook.load(session, today);
    this.fleet = FleetPicture.load(session, today);
    this.currency = session.settings().currency();
  }

  /** The study, not kept yet; empty if no fluid with a known price is in use. */
  public Optional<Study> make(Wish wish, String actor) {
    List<Use> uses = uses();
    List<LeastSet.Demand> demands = new ArrayList<>();
    for (int i = 0; i < uses.size(); i++) {
      demands.add(demand(i, uses.get(i), wish.allowed()));
    }
    List<LeastSet.Offer> offers = offers(wish.holding());
    if (offers.isEmpty()) {
      return Optional.empty();
    }
    LeastSet.Choice choice = new LeastSet.Choice(wish.forbidden(), wish.kept());
    LeastSet.Plan plan = LeastSet.of(demands, offers, choice);
    List<Line> lines = new ArrayList<>();
    for (LeastSet.Demand demand : demands) {
      Use use = uses.get((int) demand.id());
      lines.add(
          new Line(
              use.compartmentId(),
              sum(use.litres()),
              use.today(),
              Optional.ofNullable(plan.assignment().get(demand.id()))));
    }
    return Optional.of(
        new Study(
            wish.title(),
            today,
            wish.allowed(),
            wish.holding(),
            List.copyOf(wish.forbidden()),
            List.copyOf(wish.kept()),
            plan.products(),
            lines,
            LeastSet.forcedBy(demands, offers, choice, plan),
            plan.cost(),
            plan.costToday(),
            actor));
  }

  private static Volume sum(Map<UnitId, Volume> litres) {
    return litres.values().stream().reduce(Volume.ZERO, Volume::plus);
  }

  /** Compartments that the plan line fills within a year, by what is poured into them today. */
  private List<Use> uses() {
    Map<CompartmentId, Map<UnitId, Volume>> byCompartment = litresByUnit();
    Map<ItemId, ProductId> products = session.products().ofItems();
    Map<List<Object>, Use> uses = new LinkedHashMap<>();
    for (Unit unit : fleet.units()) {
      for (Compartment compartment : fleet.needs(unit.id()).compartments()) {
        Volume litres =
            byCompartment
                .getOrDefault(compartment.id(), Map.of())
                .getOrDefault(unit.id(), Volume.ZERO);
        if (compartment.itemId().isEmpty() && litres.equals(Volume.ZERO)) {
          continue;
        }
        Optional<ProductId> product = compartment.itemId().map(products::get);
        uses.computeIfAbsent(
                List.of(compartment.id(), product),
                key -> new Use(compartment.id(), product, new HashMap<>()))
            .litres()
            .put(unit.id(), litres);
      }
    }
    return List.copyOf(uses.values());
  }

  private Map<CompartmentId, Map<UnitId, Volume>> litresByUnit() {
    PlanLine plan =
        PlanLine.of(fleet.plans(PlanLine.lastDay(today, WEEKS)), List.of(), today, WEEKS);
    Map<CompartmentId, Map<UnitId, Volume>> litres = new HashMap<>();
    for (Demand demand : plan.demands()) {
      demand
          .line()
          .destination()
          .compartmentId()
          .ifPresent(
              id ->
                  litres
                      .computeIfAbsent(id, c -> new HashMap<>())
                      .merge(
                          demand.unitId(),
                          new Volume(demand.line().expected().millionths()),
                          Volume::plus));
    }
    return litres;
  }

  private LeastSet.Demand demand(long id, Use use, Level allowed) {
    UnitId unit = use.litres().keySet().iterator().next();
    Compartment compartment = fleet.needs(unit).compartment(use.compartmentId());
    SpecJudge judge = book.judge(compartment.spec());
    Set<ProductId> covering =
        book.ofKind(compartment.spec().kind()).stream()
            .filter(read -> judge.judge(read).overall().compareTo(allowed) <= 0)
            .map(read -> read.product().id())
            .collect(Collectors.toSet());
    return new LeastSet.Demand(id, use.litres(), covering, use.today());
  }

  private List<LeastSet.Offer> offers(Money holding) {
    List<LeastSet.Offer> offers = new ArrayList<>();
    book.products()
        .forEach(
            read -> {
              List<Item> packs = book.packs(read.product().id());
              price(packs)
                  .map(
                      price ->
                          new LeastSet.Offer(
                              read.product().id(),
                              read.product().display(),
                              price,
                              holding.plus(stockCost(price, packs))))
                  .ifPresent(offers::add);
            });
    return offers;
  }

  private Optional<UnitPrice> price(List<Item> packs) {
    Map<ItemId, UnitPrice> bought =
        session.keeping().lowestPrices(packs.stream().map(Item::id).toList(), currency);
    return bought.values().stream()
        .min((a, b) -> Long.compare(a.tenThousandthsOfMinor(), b.tenThousandthsOfMinor()))
        .or(
            () ->
                packs.stream()
                    .map(item -> session.ledger().stockOf(item.id()).average())
                    .filter(price -> price.tenThousandthsOfMinor() > 0)
                    .findFirst());
  }

  private Money stockCost(UnitPrice price, List<Item> packs) {
    Money pack = price.valueOf(Quantity.of(packs.get(0).pack().orElseThrow()));
    long minor =
        HOLDING_RATE
            .multiply(BigDecimal.valueOf(pack.minor()))
            .setScale(0, RoundingMode.HALF_UP)
            .longValueExact();
    return new Money(minor, currency);
  }
}

package dev.lonja.desk.choice;

import dev.lonja.core.choice.FluidUse;
import dev.lonja.core.choice.LeastSet;
import dev.lonja.core.choice.ProductCost;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fluid.Level;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.fluid.SpecJudge;
import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fleet.Kits;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.store.Session;
import dev.lonja.store.fluid.StudyRepository.Line;
import dev.lonja.store.fluid.StudyRepository.Study;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Makes a study of what is in use: its litres a year from the plan line, which products cover each
 * spec, and what each product costs.
 */
public final class StudyMaker {

  private static final int WEEKS = 52;

  private final Session session;
  private final LocalDate today;
  private final FluidBook book;

  /** What a person asks for. */
  public record Wish(
      String title, Level allowed, Money holding, Set<ProductId> forbidden, Set<ProductId> kept) {}

  public StudyMaker(Session session, LocalDate today) {
    this.session = session;
    this.today = today;
    this.book = FluidBook.load(session, today);
  }

  /** The study, not kept yet; empty if no fluid with a known price is in use. */
  public Optional<Study> make(Wish wish, String actor) {
    List<FluidUse> uses = uses();
    List<LeastSet.Demand> demands = new ArrayList<>();
    for (int i = 0; i < uses.size(); i++) {
      FluidUse use = uses.get(i);
      demands.add(new LeastSet.Demand(i, use.litres(), covering(use, wish.allowed()), use.today()));
    }
    List<LeastSet.Offer> offers =
        book.products().stream().flatMap(read -> offer(read, wish.holding()).stream()).toList();
    if (offers.isEmpty()) {
      return Optional.empty();
    }
    LeastSet.Choice choice = new LeastSet.Choice(wish.forbidden(), wish.kept());
    LeastSet.Plan plan = LeastSet.of(demands, offers, choice);
    List<Line> lines = new ArrayList<>();
    for (int i = 0; i < uses.size(); i++) {
      FluidUse use = uses.get(i);
      lines.add(
          new Line(
              use.compartment().id(),
              use.litresPerYear(),
              use.today(),
              Optional.ofNullable(plan.assignment().get((long) i))));
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

  private List<FluidUse> uses() {
    FleetPicture fleet = FleetPicture.load(session, today);
    Map<UnitId, UnitNeeds> needs = new LinkedHashMap<>();
    for (Unit unit : fleet.units()) {
      needs.put(unit.id(), fleet.needs(unit.id()));
    }
    PlanLine year = fleet.planLine(PlanLine.Beside.NOTHING, Kits.of(session, fleet), WEEKS);
    return FluidUse.of(needs, session.products().ofItems(), year.planned());
  }

  private Set<ProductId> covering(FluidUse use, Level allowed) {
    SpecJudge judge = book.judge(use.compartment().spec());
    return book.ofKind(use.compartment().spec().kind()).stream()
        .filter(read -> judge.judge(read).overall().compareTo(allowed) <= 0)
        .map(read -> read.product().id())
        .collect(Collectors.toSet());
  }

  private Optional<LeastSet.Offer> offer(ProductClaims read, Money holding) {
    List<Item> packs = book.packs(read.product().id());
    List<ItemId> ids = packs.stream().map(Item::id).toList();
    Map<ItemId, UnitPrice> worth = new HashMap<>();
    ids.forEach(id -> worth.put(id, session.ledger().stockOf(id).average()));
    return ProductCost.of(packs, session.supplies().lowestPrices(ids), worth, holding)
        .map(
            cost ->
                new LeastSet.Offer(
                    read.product().id(), read.product().display(), cost.litre(), cost.holding()));
  }
}

package dev.lonja.web.item;

import dev.lonja.core.crossref.Statement;
import dev.lonja.core.crossref.StatementKind;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.forecast.Demand;
import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.forecast.UnitPlan;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.item.Supply;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.StockedLot;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.Part;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.Viewer;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.LotFacts;
import dev.lonja.web.book.MovementRow;
import dev.lonja.web.crossref.PartFacts;
import dev.lonja.web.crossref.PartFactsLoader;
import dev.lonja.web.fluid.Hazards;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Shows an item: what it is, where it lies, what happened to it. */
@Service
@Allowed.ToSeeMachines
public class ItemDesk {

  private static final int LATEST_MOVEMENTS = 60;
  private static final int WEEKS_AHEAD = 26;

  private final LonjaStore store;
  private final StoreClock clock;

  public ItemDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** The item page; empty for an unknown item. */
  public Optional<ItemView> view(ItemId itemId) {
    return store.read(session -> session.items().byId(itemId).map(item -> view(session, item)));
  }

  /** What is known of the item's part, whoever makes it. */
  PartFacts facts(ItemId itemId) {
    return store.read(
        session -> {
          Item item = session.items().byId(itemId).orElseThrow();
          Part part = session.parts().byId(item.partId()).orElseThrow();
          return new PartFactsLoader(session, clock.today()).load(part);
        });
  }

  private ItemView view(Session session, Item item) {
    LocalDate today = clock.today();
    boolean money = Viewer.seesMoney();
    ItemStock stock = session.ledger().stockOf(item.id());
    Quantity none = Quantity.zero(item.measure());
    Quantity held = session.ledger().held().getOrDefault(item.id(), none);
    return new ItemView(
        Plate.of(item),
        item.product().map(Drum::of),
        item.product().map(Product::id),
        item.product().map(Hazards.load(session)::of).orElse(List.of()),
        item.description(),
        item.family().words(),
        item.measure().symbol(),
        item.homeBin().address(),
        item.version(),
        stock.onHand().display(),
        stock.usable(today).minus(held).atLeastZero().display(),
        held.isPositive() ? held.display() + " on trays" : "",
        money ? stock.value().display() : "",
        money ? stock.average().display() : "",
        keptWords(item, today),
        session.keeping().barcodes(item.id()),
        session.keeping().bins(item.id()).stream()
            .map(
                bin ->
                    new ItemView.BinRow(bin.address(), bin.least().display(), bin.most().display()))
            .toList(),
        money ? supplies(session, item) : List.of(),
        session.keeping().hasPicture(item.id()),
        item.family() == Family.KIT,
        successor(session, item),
        uses(session, item),
        session.ledger().lotsOf(item.id()).stream().map(lot -> lotRow(lot, today)).toList(),
        money ? movements(session, item) : List.of());
  }

  private static List<ItemView.SupplyRow> supplies(Session session, Item item) {
    return session.keeping().supplies(item.id(), session.settings().currency()).stream()
        .map(ItemDesk::supplyRow)
        .toList();
  }

  private List<MovementRow> movements(Session session, Item item) {
    return session.ledger().latest(item.id(), LATEST_MOVEMENTS).stream()
        .map(line -> MovementRow.of(line, item, clock))
        .toList();
  }

  /** What is out of the ordinary in how the item is kept. */
  private static List<String> keptWords(Item item, LocalDate today) {
    List<String> words = new ArrayList<>();
    item.keeping()
        .retiredOn()
        .ifPresent(day -> words.add("Not kept any more since " + Words.day(day, today) + "."));
    if (item.keeping().runningOut()) {
      words.add("Running out: use what is left first, buy no more.");
    }
    item.keeping()
        .shelfLifeDays()
        .ifPresent(days -> words.add("Keeps " + Words.count(days, "day", "days") + " unopened."));
    item.keeping()
        .openLifeDays()
        .ifPresent(
            days -> words.add("Keeps " + Words.count(days, "day", "days") + " once opened."));
    return words;
  }

  /** What replaces the item, if somebody says so. */
  private static Optional<Plate> successor(Session session, Item item) {
    return session.statements().standing(List.of(item.partId())).stream()
        .filter(s -> s.kind() == StatementKind.REPLACES && s.object().equals(item.partId()))
        .map(Statement::subject)
        .findFirst()
        .flatMap(part -> session.parts().byId(part))
        .map(
            part ->
                Plate.of(
                    part,
                    Optional.ofNullable(
                        session.items().byParts(List.of(part.id())).get(part.id()))));
  }

  private static ItemView.SupplyRow supplyRow(Supply supply) {
    return new ItemView.SupplyRow(
        supply.supplier().name(),
        supply.orderNumber(),
        supply.price().display(),
        supply.pack().display(),
        supply.least().display(),
        Words.count(supply.supplier().leadDays(), "day", "days"));
  }

  /** The units that take the item, each with its next use and what the coming half year takes. */
  private List<ItemView.UseRow> uses(Session session, Item item) {
    LocalDate today = clock.today();
    List<String> units = session.fleet().unitsThatUse(item.id());
    List<UnitPlan> plans =
        FleetPicture.load(session, today).plans(PlanLine.lastDay(today, WEEKS_AHEAD)).stream()
            .filter(plan -> units.contains(plan.unitCode()))
            .toList();
    Map<String, List<Demand>> byUnit =
        PlanLine.of(plans, List.of(), today, WEEKS_AHEAD).demandsOf(item.id()).stream()
            .collect(Collectors.groupingBy(Demand::unitCode));
    return units.stream()
        .map(unit -> useRow(unit, byUnit.getOrDefault(unit, List.of()), item, today))
        .toList();
  }

  private static ItemView.UseRow useRow(
      String unit, List<Demand> demands, Item item, LocalDate today) {
    Quantity sum =
        demands.stream()
            .map(Demand::quantity)
            .reduce(Quantity.zero(item.measure()), Quantity::plus);
    return new ItemView.UseRow(
        unit,
        demands.stream()
            .findFirst()
            .map(demand -> demand.service() + ", " + Words.day(demand.date(), today))
            .orElse("not in half a year"),
        sum.display());
  }

  private static ItemView.LotRow lotRow(LotFacts facts, LocalDate today) {
    StockedLot lot = facts.lot();
    return new ItemView.LotRow(
        lot.place().lotId(),
        lot.place().binId(),
        facts.binAddress(),
        facts.lotCode(),
        Words.day(lot.receivedOn(), today),
        lot.expiresOn().map(day -> Words.day(day, today)).orElse("none"),
        lot.quantity().display(),
        lotState(lot, today));
  }

  private static Optional<State> lotState(StockedLot lot, LocalDate today) {
    if (lot.quarantined()) {
      return Optional.of(State.ofShort("quarantined"));
    }
    return lot.isExpired(today) ? Optional.of(State.ofShort("expired")) : Optional.empty();
  }
}

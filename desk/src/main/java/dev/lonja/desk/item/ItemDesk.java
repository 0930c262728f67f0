package dev.lonja.desk.item;

import dev.lonja.core.crossref.Statement;
import dev.lonja.core.crossref.StatementKind;
import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.forecast.ServiceDemand;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.ledger.StockedLot;
import dev.lonja.core.part.Part;
import dev.lonja.core.place.BinId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.answer.KeptAnswer;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.crossref.PartFile;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fleet.Kits;
import dev.lonja.desk.fluid.Hazards;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.Viewer;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.LotFacts;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Predicate;
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

  /** What an item is counted in; pieces where there is none such, which the booking then says. */
  public Measure measure(ItemId itemId) {
    return store.read(session -> session.items().measure(itemId).orElse(Measure.PIECES));
  }

  /** Empty for an unknown item. */
  @KeptAnswer
  public Optional<ItemFile> file(ItemId itemId) {
    return store.read(session -> session.items().byId(itemId).map(item -> file(session, item)));
  }

  private ItemFile file(Session session, Item item) {
    boolean money = Viewer.seesMoney();
    Part part = session.parts().byId(item.partId()).orElseThrow();
    List<LotFacts> lots = session.ledger().lotsOf(item.id());
    return new ItemFile(
        item,
        shelf(session, item, lots, money),
        new ItemFile.Keeping(
            session.keeping().barcodes(item.id()),
            session.keeping().bins(item.id()),
            money ? session.supplies().of(item.id()) : List.of(),
            session.keeping().hasPicture(item.id())),
        successor(session, item),
        item.product().map(Hazards.load(session)::of).orElse(List.of()),
        uses(session, item),
        lots,
        money ? session.ledger().latest(item.id(), LATEST_MOVEMENTS) : List.of(),
        PartFile.of(session, clock.today(), part));
  }

  private ItemFile.Shelf shelf(Session session, Item item, List<LotFacts> lots, boolean money) {
    ItemStock stock = session.ledger().stockOf(item.id());
    Map<StockKey, Quantity> held = session.ledger().held();
    Quantity none = Quantity.zero(item.measure());
    Quantity heldNew = held.getOrDefault(stock.key(), none);
    StockKey used = new StockKey(item.id(), LotCondition.USED_GOOD);
    return new ItemFile.Shelf(
        stock.onHand(),
        stock.usable(clock.today()).minus(heldNew).atLeastZero(),
        heldNew,
        sums(lots, lot -> lot.condition() != LotCondition.NEW),
        sums(lots, lot -> lot.mayBeIssued(clock.today()))
            .getOrDefault(used.condition(), none)
            .minus(held.getOrDefault(used, none))
            .atLeastZero(),
        money ? Optional.of(new ItemFile.Worth(stock.value(), stock.average())) : Optional.empty(),
        places(session, stock));
  }

  private List<ItemFile.AtPlace> places(Session session, ItemStock stock) {
    SortedMap<Place, String> names = session.places().names();
    if (names.size() == 1) {
      return List.of();
    }
    Map<Place, Map<StockKey, Quantity>> held = session.placeStock().held();
    Map<BinId, Place> bins = session.places().ofBins();
    Quantity none = Quantity.zero(stock.measure());
    return names.entrySet().stream()
        .map(
            entry ->
                new ItemFile.AtPlace(
                    entry.getKey(),
                    entry.getValue(),
                    stock
                        .within(
                            bins.keySet().stream()
                                .filter(bin -> bins.get(bin).equals(entry.getKey()))
                                .collect(Collectors.toSet()))
                        .usable(clock.today()),
                    held.getOrDefault(entry.getKey(), Map.of()).getOrDefault(stock.key(), none)))
        .toList();
  }

  private static Map<LotCondition, Quantity> sums(
      List<LotFacts> lots, Predicate<StockedLot> which) {
    return lots.stream()
        .map(LotFacts::lot)
        .filter(which)
        .collect(
            Collectors.groupingBy(
                StockedLot::condition,
                TreeMap::new,
                Collectors.mapping(
                    StockedLot::quantity,
                    Collectors.collectingAndThen(
                        Collectors.reducing(Quantity::plus), Optional::orElseThrow))));
  }

  private static Optional<ItemFile.Successor> successor(Session session, Item item) {
    return session.statements().standing(List.of(item.partId())).stream()
        .filter(s -> s.kind() == StatementKind.REPLACES && s.object().equals(item.partId()))
        .map(Statement::subject)
        .findFirst()
        .flatMap(part -> session.parts().byId(part))
        .map(
            part ->
                new ItemFile.Successor(
                    part,
                    Optional.ofNullable(
                        session.items().byParts(List.of(part.id())).get(part.id()))));
  }

  /** Which machines take it, whether loose or in a kit. */
  private List<ItemFile.Use> uses(Session session, Item item) {
    LocalDate today = clock.today();
    List<String> units = session.itemUsers().units(item.id(), today);
    Set<String> using = Set.copyOf(units);
    FleetPicture fleet = FleetPicture.load(session, today);
    LocalDate last = PlanLine.lastDay(today, WEEKS_AHEAD);
    Map<String, List<ServiceDemand>> byUnit =
        fleet.units().stream()
            .filter(unit -> using.contains(unit.code()))
            .flatMap(unit -> fleet.demandOf(unit, last, Kits.NONE).demands().stream())
            .filter(demand -> demand.itemId().equals(item.id()))
            .collect(Collectors.groupingBy(ServiceDemand::ofUnit));
    return units.stream()
        .map(unit -> new ItemFile.Use(unit, byUnit.getOrDefault(unit, List.of())))
        .toList();
  }
}

package dev.lonja.desk.place;

import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.ExpiryOutlook;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.ledger.StockedLot;
import dev.lonja.core.place.BinId;
import dev.lonja.core.place.Place;
import dev.lonja.core.place.Rack;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.supplier.Supply;
import dev.lonja.desk.answer.KeptAnswer;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.forecast.Forecast;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.LotFacts;
import dev.lonja.store.ledger.StockList;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Answers what is wrong with what lies there, and what it is worth. */
@Service
@Allowed.ToSeeStore
public class StockHealthDesk {

  /** So far ahead it is looked whether a lot will be used before it expires. */
  private static final int WEEKS = 52;

  private final LonjaStore store;
  private final StoreClock clock;

  StockHealthDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /**
   * A lot of which something will be left when it expires.
   *
   * @param worth of what will be left, on the average
   */
  public record Expiring(Item item, LotFacts lot, Quantity left, Money worth) {}

  /**
   * What lies there and may not be issued: it is set aside, or expired.
   *
   * @param setAside empty if it has merely expired
   */
  public record Apart(
      Item item, LotFacts lot, Money worth, Optional<StockList.SetAside> setAside) {}

  /**
   * A container that is open.
   *
   * @param taken when some was taken last; empty if none was since it was opened
   */
  public record Open(Item item, LotFacts lot, Optional<StockList.Taken> taken) {}

  /** What all of a kind is worth. */
  public record Worth(String name, Money money) {}

  /**
   * @param expiring the soonest first
   * @param apart what is set aside longest first, then what is expired
   * @param open what keeps shortest in front
   * @param total of all that lies there, as the book has it
   * @param byPlace each of them adds up to the total, the dearest first; none if there is but one
   */
  public record Health(
      List<Expiring> expiring,
      List<Apart> apart,
      List<Open> open,
      Money total,
      List<Worth> byPlace,
      List<Worth> byRack,
      List<Worth> byFamily,
      List<Worth> bySupplier) {}

  @KeptAnswer
  public Health health() {
    return store.read(this::health);
  }

  private Health health(Session session) {
    LocalDate today = clock.today();
    Map<BinId, List<LotFacts>> bins = session.binContents().all();
    List<LotFacts> lots = bins.values().stream().flatMap(List::stream).toList();
    List<StockList.Row> rows = session.stockList().before(clock.beginOf(today.plusDays(1)));
    Map<ItemId, Item> items =
        session.items().byIds(rows.stream().map(row -> row.key().itemId()).distinct().toList());
    Map<StockKey, StockList.Row> byKey =
        rows.stream().collect(Collectors.toMap(StockList.Row::key, row -> row));
    Money none = Money.zero(session.settings().currency());
    Map<ItemId, List<Supply>> supplies = session.supplies().all();
    Map<Place, String> names = session.places().names();
    Map<BinId, Place> places = session.places().ofBins();
    return new Health(
        expiring(session, lots, byKey, none),
        apart(session, lots, items, byKey, none),
        open(session, lots, items),
        rows.stream().map(StockList.Row::worth).reduce(none, Money::plus),
        names.size() > 1
            ? shared(rows, lots, lot -> names.get(places.get(lot.lot().place().binId())))
            : List.of(),
        shared(rows, lots, lot -> Rack.of(lot.binAddress())),
        sums(rows, row -> items.get(row.key().itemId()).family().words()),
        sums(
            rows,
            row ->
                supplies.getOrDefault(row.key().itemId(), List.of()).stream()
                    .findFirst()
                    .map(supply -> supply.supplier().name())
                    .orElse("nobody")));
  }

  /** New ones of what stands for one another, against what is expected to be used of it. */
  private List<Expiring> expiring(
      Session session, List<LotFacts> lots, Map<StockKey, StockList.Row> rows, Money none) {
    LocalDate today = clock.today();
    Map<StockedLot, LotFacts> facts = new HashMap<>();
    Map<ItemId, List<StockedLot>> byItem = new HashMap<>();
    for (LotFacts lot : lots) {
      facts.put(lot.lot(), lot);
      if (lot.lot().condition() == LotCondition.NEW) {
        byItem.computeIfAbsent(lot.lot().place().itemId(), id -> new ArrayList<>()).add(lot.lot());
      }
    }
    Map<StockKey, Quantity> held = session.ledger().held();
    List<Expiring> expiring = new ArrayList<>();
    for (Subject subject : Forecast.load(session, today, WEEKS).subjects()) {
      List<StockedLot> its =
          subject.items().stream()
              .flatMap(item -> byItem.getOrDefault(item.id(), List.of()).stream())
              .toList();
      // what trays hold leaves with them, and is no part of what is still expected
      Quantity onTrays =
          subject.items().stream()
              .map(item -> held.get(StockKey.ofNew(item.id())))
              .filter(Objects::nonNull)
              .reduce(Quantity.zero(subject.free().measure()), Quantity::plus);
      for (ExpiryOutlook.Left left :
          ExpiryOutlook.of(
              its,
              day -> onTrays.plus(subject.usedBy(day)),
              today,
              PlanLine.lastDay(today, WEEKS))) {
        ItemId id = left.lot().place().itemId();
        Item item =
            subject.items().stream().filter(one -> one.id().equals(id)).findFirst().orElseThrow();
        expiring.add(
            new Expiring(
                item,
                facts.get(left.lot()),
                left.left(),
                worth(rows, StockKey.ofNew(id), left.left(), none)));
      }
    }
    expiring.sort(
        Comparator.comparing((Expiring one) -> one.lot().lot().expiresOn().orElseThrow())
            .thenComparing(one -> one.lot().lot().place().lotId()));
    return expiring;
  }

  private List<Apart> apart(
      Session session,
      List<LotFacts> lots,
      Map<ItemId, Item> items,
      Map<StockKey, StockList.Row> rows,
      Money none) {
    Map<LotId, StockList.SetAside> setAside = session.stockList().setAside();
    return lots.stream()
        .filter(lot -> lot.lot().quarantined() || lot.lot().isExpired(clock.today()))
        .map(
            lot -> {
              ItemId id = lot.lot().place().itemId();
              return new Apart(
                  items.get(id),
                  lot,
                  worth(rows, new StockKey(id, lot.lot().condition()), lot.lot().quantity(), none),
                  Optional.ofNullable(setAside.get(lot.lot().place().lotId())));
            })
        .sorted(
            Comparator.comparing((Apart one) -> one.setAside().isEmpty())
                .thenComparing(
                    one -> one.setAside().map(StockList.SetAside::at).orElse(Instant.MAX))
                .thenComparing(one -> one.lot().lot().place().lotId()))
        .toList();
  }

  private static List<Open> open(Session session, List<LotFacts> lots, Map<ItemId, Item> items) {
    Map<LotId, StockList.Taken> taken = session.stockList().lastTaken();
    return lots.stream()
        .filter(lot -> lot.lot().openedOn().isPresent())
        .map(
            lot ->
                new Open(
                    items.get(lot.lot().place().itemId()),
                    lot,
                    Optional.ofNullable(taken.get(lot.lot().place().lotId()))))
        .sorted(
            Comparator.comparing((Open one) -> one.lot().lot().expiresOn().orElse(LocalDate.MAX))
                .thenComparing(one -> one.lot().lot().place().lotId()))
        .toList();
  }

  /** The share of what the book says of all in that condition. */
  private static Money worth(
      Map<StockKey, StockList.Row> rows, StockKey key, Quantity quantity, Money none) {
    return Optional.ofNullable(rows.get(key))
        .filter(row -> row.quantity().compareTo(quantity) >= 0)
        .map(
            row ->
                row.worth()
                    .shared(List.of(quantity.amount(), row.quantity().minus(quantity).amount()))
                    .get(0))
        .orElse(none);
  }

  /** What the book says of an item is shared out over where it lies by how much lies there. */
  private static List<Worth> shared(
      List<StockList.Row> rows, List<LotFacts> lots, Function<LotFacts, String> where) {
    Map<StockKey, Map<String, Quantity>> spread = new HashMap<>();
    for (LotFacts lot : lots) {
      spread
          .computeIfAbsent(
              new StockKey(lot.lot().place().itemId(), lot.lot().condition()),
              key -> new LinkedHashMap<>())
          .merge(where.apply(lot), lot.lot().quantity(), Quantity::plus);
    }
    Map<String, Money> sums = new HashMap<>();
    for (StockList.Row row : rows) {
      Map<String, Quantity> its = spread.getOrDefault(row.key(), Map.of());
      List<Money> shares = row.worth().shared(its.values().stream().map(Quantity::amount).toList());
      Iterator<Money> next = shares.iterator();
      its.keySet().forEach(name -> sums.merge(name, next.next(), Money::plus));
    }
    return sorted(sums);
  }

  private static List<Worth> sums(List<StockList.Row> rows, Function<StockList.Row, String> name) {
    Map<String, Money> sums = new HashMap<>();
    rows.forEach(row -> sums.merge(name.apply(row), row.worth(), Money::plus));
    return sorted(sums);
  }

  private static List<Worth> sorted(Map<String, Money> sums) {
    return sums.entrySet().stream()
        .map(entry -> new Worth(entry.getKey(), entry.getValue()))
        .sorted(
            Comparator.comparing((Worth worth) -> -worth.money().minor())
                .thenComparing(Worth::name))
        .toList();
  }

  /** A line of the stock list. */
  public record Line(Item item, StockList.Row row) {}

  /**
   * What the book said at the end of a day, by make and number.
   *
   * @param total of all lines
   */
  public record Dated(LocalDate on, List<Line> lines, Money total) {}

  /** What there was at the end of a day, today's so far included. */
  public Dated list(LocalDate on) {
    return store.read(
        session -> {
          List<StockList.Row> rows = session.stockList().before(clock.beginOf(on.plusDays(1)));
          Map<ItemId, Item> items =
              session
                  .items()
                  .byIds(rows.stream().map(row -> row.key().itemId()).distinct().toList());
          return new Dated(
              on,
              rows.stream()
                  .map(row -> new Line(items.get(row.key().itemId()), row))
                  .sorted(
                      Comparator.comparing((Line line) -> line.item().make())
                          .thenComparing(line -> line.item().number())
                          .thenComparing(line -> line.row().key().condition()))
                  .toList(),
              rows.stream()
                  .map(StockList.Row::worth)
                  .reduce(Money.zero(session.settings().currency()), Money::plus));
        });
  }
}

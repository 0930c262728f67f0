package dev.lonja.desk.transfer;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.forecast.Cover;
import dev.lonja.core.forecast.Demand;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemBin;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.place.BinId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.reorder.Reordering;
import dev.lonja.core.transfer.Refill;
import dev.lonja.core.transfer.TransferLine;
import dev.lonja.core.transfer.TransferState;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.forecast.Forecast;
import dev.lonja.store.Session;
import dev.lonja.store.place.TransferRepository.Stored;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;

/**
 * What the satellites are to be filled up with from the main store. A place's level of a thing is
 * what its bins are to hold at least, or what is planned to be used there until the next look is
 * over, if that is more; it is filled up to what its bins are to hold at most, or else to what is
 * planned to be used within the store's cover.
 */
public final class Refills {

  private static final int WEEK = 7;

  private final LocalDate today;
  private final SortedMap<Place, String> names;
  private final Map<Place, Map<StockKey, Quantity>> free;
  private final Map<Place, Map<ItemId, Quantity>> coming = new HashMap<>();
  private final Map<Place, Map<ItemId, List<Demand>>> demands = new HashMap<>();
  private final Map<ItemId, List<ItemBin>> bins;
  private final Map<BinId, Place> places;
  private final int coverWeeks;

  private Refills(Session session, LocalDate today) {
    this.today = today;
    this.names = session.places().names();
    this.free = session.placeStock().free(today);
    this.bins = session.keeping().bins();
    this.places = session.places().ofBins();
    this.coverWeeks = session.settings().coverWeeks();
    session.transfers().open().forEach(this::add);
    FleetPicture fleet = FleetPicture.load(session, today);
    Map<String, Place> homes = new HashMap<>();
    for (Unit unit : fleet.units()) {
      homes.put(unit.code(), unit.home());
    }
    for (Demand demand : Forecast.of(session, fleet, coverWeeks).plan().demands()) {
      Place at = demand.unitCode().map(homes::get).orElse(Place.MAIN);
      demands
          .computeIfAbsent(at, place -> new HashMap<>())
          .computeIfAbsent(demand.itemId(), item -> new ArrayList<>())
          .add(demand);
    }
  }

  /**
   * So much of a thing for a satellite.
   *
   * @param position free there, with what comes already
   * @param spare what the main store could give, before this
   */
  public record Proposal(
      Place to, Item item, Quantity position, Quantity level, Quantity amount, Quantity spare) {}

  /** By satellite and number; nothing if there is none. */
  static List<Proposal> of(Session session, LocalDate today) {
    if (session.places().satellites().isEmpty()) {
      return List.of();
    }
    Refills refills = new Refills(session, today);
    List<Proposal> proposals = new ArrayList<>();
    Set<ItemId> poured = new HashSet<>();
    session.tanks().all().forEach(tank -> poured.add(tank.itemId()));
    for (Item item : session.items().all()) {
      if (item.keeping().retiredOn().isEmpty() && !poured.contains(item.id())) {
        proposals.addAll(refills.of(item));
      }
    }
    proposals.sort(
        (a, b) -> {
          int byPlace = a.to().compareTo(b.to());
          return byPlace != 0 ? byPlace : a.item().number().compareTo(b.item().number());
        });
    return proposals;
  }

  private void add(Stored transfer) {
    Map<ItemId, Quantity> its = coming.computeIfAbsent(transfer.to(), place -> new HashMap<>());
    for (TransferLine line : transfer.lines()) {
      its.merge(
          line.itemId(),
          transfer.state() == TransferState.ASKED
              ? line.wanted().max(line.picked())
              : line.underway(),
          Quantity::plus);
    }
  }

  private List<Proposal> of(Item item) {
    List<Refill.Need> needs =
        names.keySet().stream()
            .filter(place -> !place.isMain())
            .map(place -> need(item, place))
            .toList();
    Quantity spare = position(item, Place.MAIN).minus(level(item, Place.MAIN)).atLeastZero();
    Map<Place, Quantity> filled = Refill.of(spare, step(item), needs);
    List<Proposal> proposals = new ArrayList<>();
    for (Refill.Need need : needs) {
      Optional.ofNullable(filled.get(need.place()))
          .ifPresent(
              amount ->
                  proposals.add(
                      new Proposal(
                          need.place(), item, need.position(), need.level(), amount, spare)));
    }
    return proposals;
  }

  private Refill.Need need(Item item, Place place) {
    Quantity level = level(item, place);
    Quantity most =
        held(item, place)
            .map(ItemBin::most)
            .reduce(Quantity::plus)
            .orElseGet(() -> wholeUp(used(item, place, today.plusDays(1L * coverWeeks * WEEK))));
    Cover cover = Cover.of(position(item, place), List.of(), demandsOf(item, place), today);
    return new Refill.Need(
        place, names.get(place), position(item, place), level, most.max(level), cover.shortOn());
  }

  private java.util.stream.Stream<ItemBin> held(Item item, Place place) {
    return bins.getOrDefault(item.id(), List.of()).stream()
        .filter(bin -> place.equals(places.get(bin.binId())));
  }

  /** Below this a place is filled up, and so much the main store keeps for itself. */
  private Quantity level(Item item, Place place) {
    Quantity least =
        held(item, place).map(ItemBin::least).reduce(Quantity.zero(item.measure()), Quantity::plus);
    return least.max(wholeUp(used(item, place, today.plusDays(Reordering.REVIEW_DAYS))));
  }

  private Quantity position(Item item, Place place) {
    Quantity none = Quantity.zero(item.measure());
    return free.getOrDefault(place, Map.of())
        .getOrDefault(StockKey.ofNew(item.id()), none)
        .plus(coming.getOrDefault(place, Map.of()).getOrDefault(item.id(), none));
  }

  private List<Demand> demandsOf(Item item, Place place) {
    return demands.getOrDefault(place, Map.of()).getOrDefault(item.id(), List.of());
  }

  private Quantity used(Item item, Place place, LocalDate until) {
    return demandsOf(item, place).stream()
        .filter(demand -> !demand.date().isAfter(until))
        .map(Demand::quantity)
        .reduce(Quantity.zero(item.measure()), Quantity::plus);
  }

  private static Quantity wholeUp(Quantity quantity) {
    return quantity.measure() == Measure.PIECES
        ? Quantity.of(Measure.PIECES, quantity.amount().setScale(0, RoundingMode.UP))
        : quantity;
  }

  /** One piece, or a pack; of what has none, one of its measure. */
  private static Quantity step(Item item) {
    return item.pack().orElse(Quantity.of(item.measure(), BigDecimal.ONE));
  }
}

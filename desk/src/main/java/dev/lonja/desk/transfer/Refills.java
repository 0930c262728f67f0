package dev.lonja.desk.transfer;

import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemBin;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.reorder.Reordering;
import dev.lonja.core.transfer.Refill;
import dev.lonja.core.transfer.TransferLine;
import dev.lonja.core.transfer.TransferState;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.forecast.Bands;
import dev.lonja.desk.forecast.Forecast;
import dev.lonja.desk.forecast.PlaceForecast;
import dev.lonja.desk.reorder.Proposals;
import dev.lonja.store.Session;
import dev.lonja.store.place.TransferRepository.Stored;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.stream.Stream;

/**
 * What the satellites are to be filled up with from the main store (rules §8, <i>Places</i>). A
 * satellite's level of a thing is what is used there until the next look, in as many of the trials
 * as its criticality asks for, and at least what its bins are to hold; it is filled up to what its
 * bins are to hold at most, or else to what is used within the store's cover. What the main store
 * keeps for itself is its level for orders from outside.
 */
public final class Refills {

  private static final int WEEK = 7;

  private final SortedMap<Place, String> names;
  private final Bands bands;
  private final Map<ItemId, List<ItemBin>> bins;
  private final Map<BinId, Place> places;
  private final Map<ItemId, Quantity> freeAtMain = new HashMap<>();
  private final Map<Place, List<Subject>> subjects = new HashMap<>();
  private final Set<ItemId> poured = new HashSet<>();
  private final Proposals ownOfMain;
  private final int coverDays;

  private Refills(Session session, LocalDate today, Bands bands) {
    this.bands = bands;
    this.names = session.places().names();
    this.places = session.places().ofBins();
    Proposals.Known known = Proposals.Known.load(session);
    this.bins = known.bins();
    this.ownOfMain = new Proposals(bands.at(Place.MAIN), known.at(Place.MAIN, places));
    this.coverDays = session.settings().coverWeeks() * WEEK;
    session.tanks().all().forEach(tank -> poured.add(tank.itemId()));
    FleetPicture fleet = FleetPicture.load(session, today);
    Forecast forecast = Forecast.of(session, fleet, session.settings().coverWeeks());
    Map<Place, Map<ItemId, Quantity>> coming = coming(session);
    PlaceForecast byPlace = PlaceForecast.of(session, fleet, forecast);
    freeAtMain.putAll(byPlace.free().getOrDefault(Place.MAIN, Map.of()));
    byPlace
        .places()
        .forEach(
            (place, its) -> subjects.put(place, with(its, coming.getOrDefault(place, Map.of()))));
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
  static List<Proposal> of(Session session, LocalDate today, Bands bands) {
    return session.places().satellites().isEmpty()
        ? List.of()
        : new Refills(session, today, bands).all();
  }

  /** What is on its way to each place, or asked for. */
  private static Map<Place, Map<ItemId, Quantity>> coming(Session session) {
    Map<Place, Map<ItemId, Quantity>> coming = new HashMap<>();
    for (Stored transfer : session.transfers().open()) {
      Map<ItemId, Quantity> its = coming.computeIfAbsent(transfer.to(), place -> new HashMap<>());
      boolean isAsked = transfer.state() == TransferState.ASKED;
      for (TransferLine line : transfer.lines()) {
        its.merge(
            line.itemId(),
            isAsked ? line.wanted().max(line.picked()) : line.underway(),
            Quantity::plus);
      }
    }
    return coming;
  }

  /** What comes counts as if it was there; orders from outside are not reckoned with. */
  private static List<Subject> with(Forecast forecast, Map<ItemId, Quantity> coming) {
    return forecast.subjects().stream()
        .map(
            subject ->
                subject.having(
                    subject.items().stream()
                        .map(item -> coming.get(item.id()))
                        .filter(Objects::nonNull)
                        .reduce(subject.free(), Quantity::plus),
                    List.of()))
        .toList();
  }

  private List<Proposal> all() {
    List<Proposal> proposals = new ArrayList<>();
    for (int i = 0; i < subjects.get(Place.MAIN).size(); i++) {
      proposals.addAll(of(i));
    }
    proposals.sort(Comparator.comparing(Proposal::to).thenComparing(one -> one.item().number()));
    return proposals;
  }

  /** What is proposed of one subject, which stands at the same index at every place. */
  private List<Proposal> of(int index) {
    Subject main = subjects.get(Place.MAIN).get(index);
    Optional<Item> sent = sent(main);
    if (sent.isEmpty()) {
      return List.of();
    }
    List<Refill.Need> needs = new ArrayList<>();
    names.keySet().stream()
        .filter(place -> !place.isMain())
        .map(place -> need(subjects.get(place).get(index), place))
        .filter(Refill.Need::isBelow)
        .forEach(needs::add);
    if (needs.isEmpty()) {
      return List.of();
    }
    Item item = sent.get();
    Quantity spare = main.free().minus(ownLevel(main)).atLeastZero().min(freeAtMain.get(item.id()));
    Map<Place, Quantity> filled = Refill.of(spare, step(item), needs);
    return needs.stream()
        .filter(need -> filled.containsKey(need.place()))
        .map(
            need ->
                new Proposal(
                    need.place(),
                    item,
                    need.position(),
                    need.level(),
                    filled.get(need.place()),
                    spare))
        .toList();
  }

  /** What of a subject can be carried: the item of which most is free, none that is poured. */
  private Optional<Item> sent(Subject main) {
    return main.items().stream()
        .filter(item -> item.keeping().retiredOn().isEmpty() && !poured.contains(item.id()))
        .filter(item -> freeAtMain.containsKey(item.id()))
        .max(Comparator.comparing((Item item) -> freeAtMain.get(item.id())));
  }

  private Refill.Need need(Subject subject, Place place) {
    Quantity level = used(subject, place, Reordering.REVIEW_DAYS).max(least(subject, place));
    Quantity most =
        held(subject, place)
            .map(ItemBin::most)
            .reduce(Quantity::plus)
            .orElseGet(() -> used(subject, place, coverDays));
    return new Refill.Need(
        place, names.get(place), subject.free(), level, most.max(level), subject.cover().shortOn());
  }

  /** So much the main store keeps: of what nobody supplies, all that it needs itself. */
  private Quantity ownLevel(Subject main) {
    return ownOfMain
        .of(main)
        .map(proposal -> proposal.reordering().level())
        .orElseGet(() -> used(main, Place.MAIN, coverDays).max(least(main, Place.MAIN)));
  }

  private Quantity used(Subject subject, Place place, int days) {
    double service = subject.lead().keeping().criticality().service();
    return bands.at(place).of(subject).quantileWithin(service, trial -> days);
  }

  private Quantity least(Subject subject, Place place) {
    return held(subject, place)
        .map(ItemBin::least)
        .reduce(Quantity.zero(subject.free().measure()), Quantity::plus);
  }

  private Stream<ItemBin> held(Subject subject, Place place) {
    return subject.items().stream()
        .flatMap(item -> bins.getOrDefault(item.id(), List.of()).stream())
        .filter(bin -> place.equals(places.get(bin.binId())));
  }

  /** One piece, or a pack; of what has none, one of its measure. */
  private static Quantity step(Item item) {
    return item.pack().orElse(Quantity.of(item.measure(), BigDecimal.ONE));
  }
}

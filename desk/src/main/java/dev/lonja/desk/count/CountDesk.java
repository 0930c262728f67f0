package dev.lonja.desk.count;

import dev.lonja.core.count.AbcClass;
import dev.lonja.core.count.CountPlan;
import dev.lonja.core.count.Spot;
import dev.lonja.core.count.Stocktake;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.answer.KeptAnswer;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.WorkPlaces;
import dev.lonja.desk.request.Viewer;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.count.CountRepository.Stored;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.springframework.stereotype.Service;

/** Answers what is to be counted: today, or of a whole store. */
@Service
@Allowed.ToSeeStore
public class CountDesk {

  private static final int YEAR = 365;

  /** So many bins of a stocktake are on one list; the next follow once these are counted. */
  private static final int BINS_OF_STOCKTAKE = 24;

  private final LonjaStore store;
  private final StoreClock clock;

  CountDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /**
   * Something to be counted.
   *
   * @param book new ones that are to be found in the bin
   * @param onTrays how many more the book has there, which lie on trays
   * @param first the count that waits for a second one
   * @param stamp tells whether anything moved since
   */
  public record Due(
      CountPlan.Kept kept,
      Item item,
      List<String> barcodes,
      Item.Bin bin,
      Quantity book,
      Optional<Quantity> onTrays,
      Optional<Stored> first,
      String stamp) {}

  /** What was counted to an end, or waits for the end of the stocktake, with what it is. */
  public record Done(Item item, Item.Bin bin, Stored count) {}

  /**
   * How far it is.
   *
   * @param stocktake the one that is open; without one it is the day's list
   * @param binsDone bins in which something was counted today, or that are counted of the stocktake
   * @param binsOf how many bins it is of
   */
  public record Progress(Optional<Stocktake> stocktake, int binsDone, int binsOf) {}

  /**
   * What is to be counted.
   *
   * @param due in walking order
   * @param done in the order in which it was counted
   * @param addresses of all bins
   */
  public record Sheet(List<Due> due, List<Done> done, Progress progress, List<String> addresses) {}

  /**
   * What is due and fits into the day; while a stocktake is open, the next of what is left of it.
   *
   * @param at a bin that is to be counted now, whether it is due or not, or from which on; ignored
   *     if there is none of this address
   */
  public Sheet sheet(String at) {
    return store.read(session -> sheet(session, at));
  }

  /**
   * How many bins are on the day's list of somebody.
   *
   * @param name with which they signed in
   */
  @KeptAnswer
  public int bins(String name) {
    return store.<Integer>read(
        session -> {
          Set<BinId> begun = new HashSet<>();
          session.counts().since(clock.beginOf(clock.today())).stream()
              .filter(count -> count.count().state().isFinal())
              .forEach(count -> begun.add(count.count().spot().bin()));
          List<BinId> walk = session.items().bins().stream().map(Item.Bin::id).toList();
          Set<Spot> spots = BinBook.load(session, clock.today()).spots();
          List<CountPlan.Kept> kept = theirs(session, name, kept(session, spots, walk, item -> ""));
          int most = session.settings().binsADay();
          return binsOf(CountPlan.today(kept, begun, clock.today(), most));
        });
  }

  private Sheet sheet(Session session, String at) {
    BinBook book = BinBook.load(session, clock.today());
    Map<BinId, Item.Bin> bins = new LinkedHashMap<>();
    session.items().bins().forEach(bin -> bins.put(bin.id(), bin));
    List<BinId> walk = List.copyOf(bins.keySet());
    Optional<Integer> from =
        walk.stream()
            .filter(id -> bins.get(id).address().equalsIgnoreCase(at.strip()))
            .map(walk::indexOf)
            .findFirst();
    Optional<Stocktake> open = session.stocktakes().open();
    List<Stored> counted =
        open.map(stocktake -> session.counts().of(stocktake.id()))
            .orElseGet(() -> session.counts().since(clock.beginOf(clock.today())));
    Map<ItemId, Item> items = items(session, book.spots(), counted);
    List<CountPlan.Kept> kept = kept(session, book.spots(), walk, item -> items.get(item).number());
    List<Stored> ended = counted.stream().filter(count -> count.count().state().isFinal()).toList();
    Set<Spot> endedSpots = new HashSet<>();
    Set<BinId> begun = new HashSet<>();
    for (Stored count : ended) {
      endedSpots.add(count.count().spot());
      begun.add(count.count().spot().bin());
    }
    List<CountPlan.Kept> list;
    Progress progress;
    if (open.isPresent()) {
      List<CountPlan.Kept> left =
          kept.stream()
              .filter(one -> !endedSpots.contains(new Spot(one.item(), one.bin())))
              .toList();
      list =
          CountPlan.next(theirs(session, Viewer.name(), left), from.orElse(0), BINS_OF_STOCKTAKE);
      progress = new Progress(open, binsOf(kept) - binsOf(left), binsOf(kept));
    } else {
      int most = session.settings().binsADay();
      List<CountPlan.Kept> theirs = theirs(session, Viewer.name(), kept);
      list = withBin(theirs, from, CountPlan.today(theirs, begun, clock.today(), most));
      progress = new Progress(open, begun.size(), most);
    }
    return new Sheet(
        due(session, list, new Known(items, bins, book, session.counts().firsts())),
        ended.stream()
            .map(
                count ->
                    new Done(
                        items.get(count.count().spot().item()),
                        bins.get(count.count().spot().bin()),
                        count))
            .toList(),
        progress,
        bins.values().stream().map(Item.Bin::address).toList());
  }

  /** What stands at a place where somebody works. */
  private static List<CountPlan.Kept> theirs(
      Session session, String name, List<CountPlan.Kept> kept) {
    Optional<Set<Place>> places = WorkPlaces.of(session, name);
    if (places.isEmpty()) {
      return kept;
    }
    Map<BinId, Place> ofBins = session.places().ofBins();
    return kept.stream().filter(one -> places.get().contains(ofBins.get(one.bin()))).toList();
  }

  private static int binsOf(List<CountPlan.Kept> kept) {
    return (int) kept.stream().map(CountPlan.Kept::bin).distinct().count();
  }

  private static Map<ItemId, Item> items(Session session, Set<Spot> spots, List<Stored> counted) {
    Set<ItemId> ids = new LinkedHashSet<>();
    spots.forEach(spot -> ids.add(spot.item()));
    counted.forEach(count -> ids.add(count.count().spot().item()));
    return session.items().byIds(List.copyOf(ids));
  }

  private List<CountPlan.Kept> kept(
      Session session, Set<Spot> spots, List<BinId> walk, Function<ItemId, String> name) {
    Map<Spot, Instant> last = session.counts().last();
    Map<ItemId, AbcClass> classes =
        AbcClass.of(session.counts().usedSince(clock.beginOf(clock.today().minusDays(YEAR))));
    Map<BinId, Integer> places = new HashMap<>();
    walk.forEach(bin -> places.put(bin, places.size()));
    List<CountPlan.Kept> kept = new ArrayList<>();
    for (Spot spot : spots) {
      Optional<LocalDate> on = Optional.ofNullable(last.get(spot)).map(clock::dayOf);
      kept.add(
          new CountPlan.Kept(
              spot.item(),
              spot.bin(),
              places.get(spot.bin()),
              name.apply(spot.item()),
              classes.getOrDefault(spot.item(), AbcClass.C),
              on));
    }
    return kept;
  }

  /** The day's list with all of one more bin before it. */
  private static List<CountPlan.Kept> withBin(
      List<CountPlan.Kept> kept, Optional<Integer> place, List<CountPlan.Kept> list) {
    if (place.isEmpty()) {
      return list;
    }
    List<CountPlan.Kept> first =
        CountPlan.next(
            kept.stream().filter(one -> one.walk() == place.get().intValue()).toList(), 0, 1);
    List<CountPlan.Kept> all = new ArrayList<>(first);
    list.stream().filter(one -> one.walk() != place.get().intValue()).forEach(all::add);
    return all;
  }

  private record Known(
      Map<ItemId, Item> items, Map<BinId, Item.Bin> bins, BinBook book, Map<Spot, Stored> firsts) {}

  private static List<Due> due(Session session, List<CountPlan.Kept> list, Known known) {
    Map<ItemId, List<String>> barcodes =
        session.keeping().barcodes(list.stream().map(CountPlan.Kept::item).distinct().toList());
    return list.stream()
        .map(
            one -> {
              Spot spot = new Spot(one.item(), one.bin());
              return new Due(
                  one,
                  known.items().get(one.item()),
                  barcodes.getOrDefault(one.item(), List.of()),
                  known.bins().get(one.bin()),
                  known.book().of(spot).orElseThrow(),
                  known.book().onTrays(spot),
                  Optional.ofNullable(known.firsts().get(spot)),
                  known.book().stamp(spot));
            })
        .toList();
  }
}

package dev.lonja.desk.count;

import dev.lonja.core.count.AbcClass;
import dev.lonja.core.count.CountPlan;
import dev.lonja.core.count.Spot;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.count.CountRepository;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;

/** Answers what is to be counted today. */
@Service
@Allowed.ToSeeStore
public class CountDesk {

  private static final int YEAR = 365;

  private final LonjaStore store;
  private final StoreClock clock;

  CountDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /**
   * Something to be counted.
   *
   * @param book new ones in the bin by the book
   * @param first the count that waits for a second one
   * @param stamp tells whether anything moved since
   */
  public record Due(
      CountPlan.Kept kept,
      Item item,
      Item.Bin bin,
      Quantity book,
      Optional<CountRepository.First> first,
      long stamp) {}

  /**
   * Today's list.
   *
   * @param due in walking order
   * @param binsDone how many bins were counted in today
   */
  public record Today(List<Due> due, int binsDone) {}

  /** What is due and fits into the day. */
  public Today today() {
    return store.read(this::today);
  }

  private Today today(Session session) {
    Map<Spot, Quantity> book = session.counts().book();
    Map<Spot, Instant> last = session.counts().last();
    Map<Spot, CountRepository.First> firsts = session.counts().firsts();
    Map<Spot, Long> stamps = session.counts().stamps();
    Map<ItemId, AbcClass> classes =
        AbcClass.of(session.counts().usedSince(clock.beginOf(clock.today().minusDays(YEAR))));
    Map<ItemId, Item> items =
        session.items().byIds(book.keySet().stream().map(Spot::item).distinct().toList());
    Map<BinId, Item.Bin> bins = new HashMap<>();
    Map<BinId, Integer> walk = new HashMap<>();
    for (Item.Bin bin : session.items().bins()) {
      walk.put(bin.id(), bins.size());
      bins.put(bin.id(), bin);
    }
    List<CountPlan.Kept> kept = new ArrayList<>();
    Set<BinId> done = new HashSet<>();
    for (Spot spot : book.keySet()) {
      Optional<LocalDate> on = Optional.ofNullable(last.get(spot)).map(clock::dayOf);
      if (on.filter(clock.today()::equals).isPresent()) {
        done.add(spot.bin());
      }
      kept.add(
          new CountPlan.Kept(
              spot.item(),
              spot.bin(),
              walk.get(spot.bin()),
              items.get(spot.item()).number(),
              classes.getOrDefault(spot.item(), AbcClass.C),
              on));
    }
    List<Due> due =
        CountPlan.today(kept, done, clock.today(), CountPlan.BINS_A_DAY).stream()
            .map(
                one -> {
                  Spot spot = new Spot(one.item(), one.bin());
                  return new Due(
                      one,
                      items.get(one.item()),
                      bins.get(one.bin()),
                      book.get(spot),
                      Optional.ofNullable(firsts.get(spot)),
                      stamps.getOrDefault(spot, 0L));
                })
            .toList();
    return new Today(due, done.size());
  }
}

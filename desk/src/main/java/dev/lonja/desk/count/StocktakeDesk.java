package dev.lonja.desk.count;

import dev.lonja.core.count.Spot;
import dev.lonja.core.count.Stocktake;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.count.CountRepository.State;
import dev.lonja.store.count.CountRepository.Stored;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;

/** Answers how far a count of all bins is, and what it comes to. */
@Service
@Allowed.ToSeeStore
public class StocktakeDesk {

  private final LonjaStore store;
  private final StoreClock clock;

  StocktakeDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /**
   * Something that differs.
   *
   * @param worth of the difference at the moving average, below zero if something is missing
   */
  public record Difference(Stored count, Item item, Item.Bin bin, Money worth) {

    /** More than the book if above zero. */
    public Quantity change() {
      return count.count().counted().minus(count.count().book());
    }
  }

  /**
   * The one that is open.
   *
   * @param thingsLeft how many things in bins are not counted to an end
   * @param binsLeft in how many bins they are
   */
  public record Open(
      Stocktake stocktake, int agree, List<Difference> differences, int thingsLeft, int binsLeft) {

    /** What all differences come to. */
    public Optional<Money> worth() {
      return differences.stream().map(Difference::worth).reduce(Money::plus);
    }
  }

  /**
   * The open one and those before.
   *
   * @param tanks how many there are: they are dipped
   */
  public record Overview(Optional<Open> open, List<Stocktake> past, int tanks) {}

  public Overview overview() {
    return store.read(
        session ->
            new Overview(
                session
                    .stocktakes()
                    .open()
                    .map(stocktake -> open(session, stocktake, clock.today())),
                session.stocktakes().all().stream().filter(one -> !one.isOpen()).toList(),
                session.tanks().all().size()));
  }

  static Open open(Session session, Stocktake stocktake, LocalDate today) {
    List<Stored> counts = session.counts().of(stocktake.id());
    Set<Spot> ended = new HashSet<>();
    counts.stream()
        .filter(count -> count.count().state().isFinal())
        .forEach(count -> ended.add(count.count().spot()));
    Set<Spot> left = new HashSet<>(BinBook.load(session, today).spots());
    left.removeAll(ended);
    List<Stored> differing =
        counts.stream().filter(count -> count.count().state() == State.DIFFERS).toList();
    List<ItemId> ids =
        differing.stream().map(count -> count.count().spot().item()).distinct().toList();
    Map<ItemId, Item> items = session.items().byIds(ids);
    Map<ItemId, UnitPrice> averages = session.ledger().averages(ids);
    Map<BinId, Item.Bin> bins = new HashMap<>();
    session.items().bins().forEach(bin -> bins.put(bin.id(), bin));
    return new Open(
        stocktake,
        (int) counts.stream().filter(count -> count.count().state() == State.AGREED).count(),
        differing.stream()
            .map(
                count -> {
                  Spot spot = count.count().spot();
                  return new Difference(
                      count,
                      items.get(spot.item()),
                      bins.get(spot.bin()),
                      averages
                          .get(spot.item())
                          .valueOf(count.count().counted().minus(count.count().book())));
                })
            .toList(),
        left.size(),
        (int) left.stream().map(Spot::bin).distinct().count());
  }
}

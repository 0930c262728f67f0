package dev.lonja.desk.place;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemBin;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.PutAway;
import dev.lonja.core.place.BinId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.LotFacts;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import org.springframework.util.function.SingletonSupplier;

/** Proposes bins for what comes, by what lies in all of them. */
public final class PutAways {

  private final Supplier<Shelves> shelves;

  public PutAways(Session session) {
    this.shelves = SingletonSupplier.of(() -> Shelves.load(session));
  }

  /**
   * All bins and what is in them, looked up once.
   *
   * @param spoken bins that something is at home in, or is to lie in, and those of tanks
   */
  private record Shelves(
      List<Item.Bin> bins,
      Map<BinId, List<LotFacts>> lots,
      Map<ItemId, List<ItemBin>> kept,
      Set<BinId> spoken) {

    static Shelves load(Session session) {
      Map<ItemId, List<ItemBin>> kept = session.keeping().bins();
      Set<BinId> spoken = new HashSet<>();
      kept.values().forEach(bins -> bins.forEach(bin -> spoken.add(bin.binId())));
      session.items().all().stream()
          .filter(other -> other.keeping().retiredOn().isEmpty())
          .forEach(other -> spoken.add(other.homeBin().id()));
      session.tanks().all().forEach(tank -> spoken.add(tank.binId()));
      return new Shelves(session.items().bins(), session.binContents().all(), kept, spoken);
    }
  }

  /** How much goes into a bin. */
  public record Into(Item.Bin bin, Quantity quantity, PutAway.Why why) {}

  /**
   * Shares out what comes of an item over bins of the place where its home is, the best first.
   *
   * @param coming more than zero
   */
  public List<Into> of(Item item, Quantity coming) {
    return of(item, coming, item.homeBin().place());
  }

  /** The same over bins of a place; nothing if none there takes it. */
  public List<Into> of(Item item, Quantity coming, Place place) {
    Map<BinId, List<LotFacts>> lots = shelves.get().lots();
    Map<ItemId, List<ItemBin>> kept = shelves.get().kept();
    Set<BinId> spoken = shelves.get().spoken();
    Map<BinId, ItemBin> own = new HashMap<>();
    kept.getOrDefault(item.id(), List.of()).forEach(bin -> own.put(bin.binId(), bin));
    Map<BinId, Item.Bin> bins = new HashMap<>();
    List<PutAway.Shelf> found = new ArrayList<>();
    List<Item.Bin> there =
        shelves.get().bins().stream().filter(bin -> bin.place().equals(place)).toList();
    for (Item.Bin bin : there) {
      bins.put(bin.id(), bin);
      Quantity lying =
          lots.getOrDefault(bin.id(), List.of()).stream()
              .filter(lot -> lot.lot().place().itemId().equals(item.id()))
              .map(lot -> lot.lot().quantity())
              .reduce(Quantity.zero(item.measure()), Quantity::plus);
      boolean isFree = !lots.containsKey(bin.id()) && !spoken.contains(bin.id());
      why(item, bin, own.containsKey(bin.id()), lying, isFree)
          .ifPresent(
              why ->
                  found.add(
                      new PutAway.Shelf(
                          bin.id(),
                          bin.walkOrder(),
                          why,
                          lying,
                          Optional.ofNullable(own.get(bin.id())).map(ItemBin::most))));
    }
    return found.isEmpty()
        ? List.of()
        : PutAway.of(coming, found).stream()
            .map(part -> new Into(bins.get(part.bin()), part.quantity(), part.why()))
            .toList();
  }

  private static Optional<PutAway.Why> why(
      Item item, Item.Bin bin, boolean isKept, Quantity there, boolean isFree) {
    if (item.homeBin().id().equals(bin.id())) {
      return Optional.of(PutAway.Why.HOME);
    }
    if (isKept) {
      return Optional.of(PutAway.Why.KEPT);
    }
    if (there.isPositive()) {
      return Optional.of(PutAway.Why.SAME);
    }
    return isFree ? Optional.of(PutAway.Why.EMPTY) : Optional.empty();
  }
}

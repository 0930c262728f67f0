package dev.lonja.desk.place;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemBin;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.BinStand;
import dev.lonja.core.place.BinId;
import dev.lonja.core.place.Place;
import dev.lonja.desk.answer.KeptAnswer;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.LotFacts;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import org.springframework.stereotype.Service;

/** Answers where things lie, and how the bins stand. */
@Service
@Allowed.ToSeeStore
public class ShelfDesk {

  private final LonjaStore store;

  ShelfDesk(LonjaStore store) {
    this.store = store;
  }

  /** A bin and how it stands. */
  public record Shelf(Item.Bin bin, BinStand stand) {}

  /** What all places are called, the main store first. */
  public SortedMap<Place, String> places() {
    return store.read(session -> session.places().names());
  }

  /** All bins in walking order. */
  @KeptAnswer
  public List<Shelf> shelves() {
    return store.read(
        session -> {
          Map<BinId, List<LotFacts>> lots = session.binContents().all();
          Map<BinId, Map<ItemId, ItemBin>> kept = kept(session);
          return session.items().bins().stream()
              .map(
                  bin ->
                      shelf(
                          bin,
                          lots.getOrDefault(bin.id(), List.of()),
                          kept.getOrDefault(bin.id(), Map.of())))
              .toList();
        });
  }

  private static Shelf shelf(Item.Bin bin, List<LotFacts> lots, Map<ItemId, ItemBin> kept) {
    return new Shelf(bin, new BinStand(lots.stream().map(LotFacts::lot).toList(), kept));
  }

  private static Map<BinId, Map<ItemId, ItemBin>> kept(Session session) {
    Map<BinId, Map<ItemId, ItemBin>> kept = new HashMap<>();
    session
        .keeping()
        .bins()
        .forEach(
            (item, bins) ->
                bins.forEach(
                    bin ->
                        kept.computeIfAbsent(bin.binId(), id -> new HashMap<>()).put(item, bin)));
    return kept;
  }

  /** A bin with what lies in it or is at home there, in order of the numbers. */
  public record Content(Item.Bin bin, List<Item> items) {}

  /** All bins in walking order with what is to be found in each. */
  public List<Content> contents() {
    return store.read(
        session -> {
          Map<BinId, List<LotFacts>> lots = session.binContents().all();
          Map<BinId, Map<ItemId, ItemBin>> kept = kept(session);
          List<Item> items = session.items().all();
          return session.items().bins().stream()
              .map(
                  bin ->
                      new Content(
                          bin,
                          found(
                              items,
                              bin,
                              lots.getOrDefault(bin.id(), List.of()),
                              kept.getOrDefault(bin.id(), Map.of()))))
              .toList();
        });
  }

  private static List<Item> found(
      List<Item> items, Item.Bin bin, List<LotFacts> lots, Map<ItemId, ItemBin> kept) {
    return items.stream()
        .filter(item -> belongs(item, bin, lots, kept))
        .sorted((a, b) -> a.number().compareTo(b.number()))
        .toList();
  }

  /**
   * One bin opened.
   *
   * @param lots that lie in it, by item
   * @param items what lies in it or belongs there, in order of their numbers
   * @param before the address of the bin before it on the walk, and {@code after} that behind it
   * @param counted when something in it was counted last
   */
  public record Opened(
      Shelf shelf,
      List<LotFacts> lots,
      List<Item> items,
      Optional<String> before,
      Optional<String> after,
      Optional<Instant> counted) {}

  /** Empty if there is no bin of this address. */
  public Optional<Opened> bin(String address) {
    return store.read(
        session -> session.items().binByAddress(address).map(bin -> opened(session, bin)));
  }

  private static Opened opened(Session session, Item.Bin bin) {
    List<LotFacts> lots = session.binContents().of(bin.id());
    Map<ItemId, ItemBin> kept = kept(session).getOrDefault(bin.id(), Map.of());
    List<Item> items = found(session.items().all(), bin, lots, kept);
    List<Item.Bin> walk = new ArrayList<>(session.items().bins());
    int at = walk.indexOf(bin);
    return new Opened(
        shelf(bin, lots, kept),
        lots,
        items,
        at > 0 ? Optional.of(walk.get(at - 1).address()) : Optional.empty(),
        at + 1 < walk.size() ? Optional.of(walk.get(at + 1).address()) : Optional.empty(),
        session.counts().lastIn(bin.id()));
  }

  private static boolean belongs(
      Item item, Item.Bin bin, List<LotFacts> lots, Map<ItemId, ItemBin> kept) {
    return lots.stream().anyMatch(lot -> lot.lot().place().itemId().equals(item.id()))
        || kept.containsKey(item.id())
        || (item.homeBin().id().equals(bin.id()) && item.keeping().retiredOn().isEmpty());
  }
}

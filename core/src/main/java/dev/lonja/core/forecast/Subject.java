package dev.lonja.core.forecast;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.order.Coming;
import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What is looked ahead for as one: an item, or a fluid in all its packs, with what is free, what
 * open orders are to bring, and what is expected to be used, both in order of date.
 */
public record Subject(
    List<Item> items,
    Optional<Product> product,
    Quantity free,
    List<Coming> coming,
    Cover cover,
    List<Demand> demands) {

  public Subject {
    items = List.copyOf(items);
    coming = List.copyOf(coming);
    demands = List.copyOf(demands);
  }

  /**
   * What a store has and waits for, by item; absent means nothing.
   *
   * @param free usable and on no tray
   * @param coming by open orders
   */
  public record There(Map<ItemId, Quantity> free, Map<ItemId, List<Coming>> coming) {}

  /** By what it leads alone: its demands are long, and no two subjects of a store share an item. */
  @Override
  public int hashCode() {
    return lead().id().hashCode();
  }

  /** The same with something else there and on its way. */
  public Subject having(Quantity otherFree, List<Coming> otherComing) {
    return new Subject(
        items,
        product,
        otherFree,
        otherComing,
        Cover.of(otherFree, otherComing, demands, cover.today()),
        demands);
  }

  /** What open orders are promised to bring; of what is overdue nobody knows when it comes. */
  public List<Coming> promised() {
    return coming.stream().filter(one -> !one.isOverdue(cover.today())).toList();
  }

  /** What is free, with what is promised by a day. */
  public Quantity thereBy(LocalDate day) {
    return promised().stream()
        .filter(one -> !one.on().isAfter(day))
        .map(Coming::quantity)
        .reduce(free, Quantity::plus);
  }

  /** How much is expected to be used by a day, that day's included. */
  public Quantity usedBy(LocalDate day) {
    return demands.stream()
        .filter(demand -> !demand.date().isAfter(day))
        .map(Demand::quantity)
        .reduce(Quantity.zero(free.measure()), Quantity::plus);
  }

  /**
   * The subjects of a store: fluids by product, everything else by item, in the items' order.
   *
   * @param there what there is and what is to come
   */
  public static List<Subject> all(
      List<Item> items, There there, Collection<Demand> demands, LocalDate today) {
    Map<ItemId, List<Demand>> byItem = new HashMap<>();
    for (Demand demand : demands) {
      byItem.computeIfAbsent(demand.itemId(), id -> new ArrayList<>()).add(demand);
    }
    Map<Object, List<Item>> groups = new LinkedHashMap<>();
    for (Item item : items) {
      Object group = item.product().<Object>map(Product::id).orElse(item.id());
      groups.computeIfAbsent(group, g -> new ArrayList<>()).add(item);
    }
    return groups.values().stream().map(group -> of(group, there, byItem, today)).toList();
  }

  private static Subject of(
      List<Item> items, There there, Map<ItemId, List<Demand>> demands, LocalDate today) {
    Quantity sum = Quantity.zero(items.get(0).measure());
    List<Coming> coming = new ArrayList<>();
    List<Demand> all = new ArrayList<>();
    for (Item item : items) {
      sum = sum.plus(there.free().getOrDefault(item.id(), Quantity.zero(item.measure())));
      coming.addAll(there.coming().getOrDefault(item.id(), List.of()));
      all.addAll(demands.getOrDefault(item.id(), List.of()));
    }
    all.sort(
        Comparator.comparing(Demand::date).thenComparing(demand -> demand.unitCode().orElse("")));
    coming.sort(Comparator.comparing(Coming::on).thenComparing(Coming::order));
    Cover cover = Cover.of(sum, coming, all, today);
    return new Subject(items, items.get(0).product(), sum, coming, cover, all);
  }

  /**
   * The item that stands for the subject: of a fluid, the pack of which most is expected to be
   * used; of several such the first, as of packs that nothing asks for.
   */
  public Item lead() {
    Item lead = items.get(0);
    for (Item item : items) {
      if (asked(item).compareTo(asked(lead)) > 0) {
        lead = item;
      }
    }
    return lead;
  }

  private Quantity asked(Item item) {
    return demands.stream()
        .filter(demand -> demand.itemId().equals(item.id()))
        .map(Demand::quantity)
        .reduce(Quantity.zero(item.measure()), Quantity::plus);
  }

  /** What is expected to be used, by week; weeks without use are absent. */
  public SortedMap<IsoWeek, Quantity> byWeek() {
    SortedMap<IsoWeek, Quantity> weeks = new TreeMap<>();
    for (Demand demand : demands) {
      if (!demand.quantity().isZero()) {
        weeks.merge(IsoWeek.of(demand.date()), demand.quantity(), Quantity::plus);
      }
    }
    return weeks;
  }
}

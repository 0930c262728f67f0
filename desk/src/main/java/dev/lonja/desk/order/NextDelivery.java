package dev.lonja.desk.order;

import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.order.Coming;
import dev.lonja.core.order.Order;
import dev.lonja.store.Session;
import dev.lonja.store.order.OrderRepository;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Which open order brings something next: an item, or a fluid in any of its packs. */
public final class NextDelivery {

  /** Nothing is on its way, or nobody asks. */
  public static final NextDelivery NONE = new NextDelivery(Map.of(), Map.of());

  private static final Comparator<Coming> SOONEST =
      Comparator.comparing(Coming::on).thenComparing(Coming::order);

  private final Map<ItemId, List<Coming>> byItem;
  private final Map<ProductId, List<Coming>> byProduct = new HashMap<>();

  private NextDelivery(Map<ItemId, List<Coming>> byItem, Map<ItemId, Item> items) {
    this.byItem = byItem;
    byItem.forEach(
        (id, coming) ->
            items
                .get(id)
                .product()
                .ifPresent(
                    product ->
                        byProduct
                            .computeIfAbsent(product.id(), p -> new ArrayList<>())
                            .addAll(coming)));
  }

  public static NextDelivery load(Session session) {
    return of(session.orders().open());
  }

  /** By these orders. */
  public static NextDelivery of(List<Order> orders) {
    Map<ItemId, Item> items = new HashMap<>();
    orders.forEach(
        order -> order.lines().forEach(line -> items.put(line.item().id(), line.item())));
    return new NextDelivery(OrderRepository.coming(orders), items);
  }

  /** The one that is promised first, which may be overdue; empty if none is on its way. */
  public Optional<Coming> of(Item item) {
    return item
        .product()
        .map(product -> byProduct.getOrDefault(product.id(), List.of()))
        .orElseGet(() -> byItem.getOrDefault(item.id(), List.of()))
        .stream()
        .min(SOONEST);
  }
}

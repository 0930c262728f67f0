package dev.lonja.desk.replay;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.replay.Ordering;
import dev.lonja.core.replay.RealOrder;
import dev.lonja.core.supplier.Supplier;
import dev.lonja.desk.reorder.BroughtForward;
import dev.lonja.desk.reorder.FreightFilling;
import dev.lonja.desk.reorder.Proposal;
import dev.lonja.store.order.OrderRepository.Came;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.Currency;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * What is ordered on one Monday of the past, of all things together: what is due, and with it what
 * makes the freight of a supplier's order free.
 *
 * @param lowest price of each thing, by the first of its items
 * @param came what really came, of which a simulated order takes how long it is on its way
 */
record MondayOrders(
    LocalDate monday, Currency currency, Map<ItemId, UnitPrice> lowest, List<Came> came) {

  private static final Comparator<Supplier> BY_NAME =
      Comparator.comparing(Supplier::name).thenComparing(Supplier::id);

  /**
   * What is ordered.
   *
   * @param lines by the first item of each thing
   * @param freight of all orders together
   */
  record Placed(Map<ItemId, Ordering.Placed> lines, Money freight) {}

  /** Of what is proposed of each thing. */
  Placed of(List<Proposal> proposals) {
    List<Proposal> later =
        proposals.stream()
            .filter(proposal -> !proposal.isDue())
            .filter(proposal -> proposal.reordering().orderBy().isPresent())
            .toList();
    Map<Supplier, List<Proposal>> due =
        proposals.stream()
            .filter(MondayOrders::isOrdered)
            .collect(
                Collectors.groupingBy(
                    proposal -> proposal.supply().supplier(),
                    () -> new TreeMap<>(BY_NAME),
                    Collectors.toList()));
    FreightFilling filling = new FreightFilling(monday);
    Map<ItemId, Ordering.Placed> all = new HashMap<>();
    Money freight = Money.zero(currency);
    for (Map.Entry<Supplier, List<Proposal>> one : due.entrySet()) {
      Map<ItemId, Ordering.Placed> order = order(one.getKey(), one.getValue(), filling, later);
      Money worth =
          order.values().stream()
              .map(Ordering.Placed::cost)
              .reduce(Money.zero(currency), Money::plus);
      freight =
          freight.plus(
              one.getKey().freight().map(its -> its.of(worth)).orElse(Money.zero(currency)));
      all.putAll(order);
    }
    return new Placed(all, freight);
  }

  private Map<ItemId, Ordering.Placed> order(
      Supplier supplier, List<Proposal> due, FreightFilling filling, List<Proposal> later) {
    Map<ItemId, Ordering.Placed> order = new HashMap<>();
    due.forEach(proposal -> order.put(key(proposal), placed(proposal, ordered(proposal))));
    filling
        .of(supplier, due, later)
        .forEach(
            (proposal, along) -> order.put(key(proposal), placed(proposal, with(proposal, along))));
    return order;
  }

  private static boolean isOrdered(Proposal proposal) {
    return proposal.isDue() && proposal.reordering().amount().isPositive();
  }

  private static ItemId key(Proposal proposal) {
    return proposal.subject().items().get(0).id();
  }

  private static Quantity ordered(Proposal proposal) {
    return isOrdered(proposal)
        ? proposal.reordering().amount()
        : Quantity.zero(proposal.subject().free().measure());
  }

  private static Quantity with(Proposal proposal, BroughtForward along) {
    return ordered(proposal).plus(along.more());
  }

  private Ordering.Placed placed(Proposal proposal, Quantity quantity) {
    Supplier supplier = proposal.supply().supplier();
    List<RealOrder> real =
        came.stream()
            .filter(one -> one.source().supplierId().equals(supplier.id()))
            .map(one -> new RealOrder(one.sentOn(), one.cameOn()))
            .toList();
    Money cost = proposal.supply().costOf(quantity);
    return new Ordering.Placed(
        quantity,
        monday.plusDays(RealOrder.leadDays(real, monday, supplier.leadDays())),
        cost,
        StorePast.above(cost, lowest.get(key(proposal)).valueOf(quantity)));
  }
}

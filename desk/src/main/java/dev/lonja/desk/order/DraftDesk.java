package dev.lonja.desk.order;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.order.Order;
import dev.lonja.core.order.OrderAmount;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.order.OrderLine;
import dev.lonja.core.order.OrderLineId;
import dev.lonja.core.order.OrderState;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.supplier.Supplier;
import dev.lonja.core.supplier.SupplierId;
import dev.lonja.core.supplier.Supply;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.find.ScannedItems;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.BuyersDesk;
import dev.lonja.desk.person.SecondPerson;
import dev.lonja.desk.person.SecondRefusal;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Drafts orders and sends them. */
@Service
@Allowed.ToBuy
public class DraftDesk extends BuyersDesk {

  private final StoreClock clock;
  private final OnceOnly once;
  private final SecondPerson second;
  private final SupplierGateway gateway;

  DraftDesk(StoreClock clock, OnceOnly once, SecondPerson second, SupplierGateway gateway) {
    this.clock = clock;
    this.once = once;
    this.second = second;
    this.gateway = gateway;
  }

  /**
   * Something to order.
   *
   * @param amount in the item's measure, zero or more; of nothing none is ordered
   */
  public record Wish(ItemId item, BigDecimal amount) {}

  /**
   * Puts wishes on the draft of a supplier, or on a new one; what stands there already is set to
   * the amount of the wish. Answers the number of the order.
   */
  @Allowed.ToBuy
  public Outcome order(Sent sent, SupplierId supplierId, List<Wish> wishes) {
    return once.run(
        sent,
        session -> {
          Optional<Supplier> supplier =
              session.suppliers().byId(supplierId).map(kept -> kept.supplier());
          if (supplier.isEmpty()) {
            return Outcome.refused(new OrderRefusal.NoSuchSupplier());
          }
          return order(session, sent, supplier.get(), wishes);
        });
  }

  private Outcome order(Session session, Sent sent, Supplier supplier, List<Wish> wishes) {
    List<Refusal> refusals = new ArrayList<>();
    List<Asked> asked = new ArrayList<>();
    for (Wish wish : wishes) {
      if (wish.amount().signum() > 0) {
        asked(session, supplier, wish, refusals).ifPresent(asked::add);
      }
    }
    if (asked.isEmpty() && refusals.isEmpty()) {
      refusals.add(new OrderRefusal.NothingToOrder());
    }
    if (!refusals.isEmpty()) {
      return new Outcome.Refused(refusals);
    }
    Optional<Order> draft = session.orders().draftFor(supplier.id());
    OrderId id =
        draft.map(Order::id).orElseGet(() -> session.orders().add(supplier.id(), clock.today()));
    draft.map(Order::id).ifPresent(session.orders()::changed);
    asked.forEach(one -> put(session, id, draft, one));
    audit(
        session,
        sent,
        id,
        draft.isEmpty() ? Deed.ADDED : Deed.EDITED,
        Facts.of("lines", asked.size()).with("supplier", supplier.name()));
    return Outcome.done(id);
  }

  /** A wish that can be ordered. */
  private record Asked(Item item, Supply supply, Quantity quantity) {}

  private static Optional<Asked> asked(
      Session session, Supplier supplier, Wish wish, List<Refusal> refusals) {
    Optional<Item> known = session.items().byId(wish.item());
    if (known.isEmpty()) {
      refusals.add(new OrderRefusal.UnknownItem(wish.item().toString()));
      return Optional.empty();
    }
    Item item = known.get();
    Quantity quantity = Quantity.of(item.measure(), wish.amount());
    Optional<Supply> supply = supplyOf(session, supplier, item);
    if (supply.isEmpty()) {
      refusals.add(new OrderRefusal.NotSold(item, supplier.name()));
      return Optional.empty();
    }
    Optional<OrderAmount> problem =
        OrderAmount.problem(quantity, supply.get().pack(), supply.get().least());
    problem.ifPresent(wrong -> refusals.add(new OrderRefusal.WrongAmount(item, wrong)));
    return problem.isPresent()
        ? Optional.empty()
        : Optional.of(new Asked(item, supply.get(), quantity));
  }

  private static Optional<Supply> supplyOf(Session session, Supplier supplier, Item item) {
    return session.supplies().of(item.id()).stream()
        .filter(supply -> supply.supplier().id().equals(supplier.id()))
        .findFirst();
  }

  private static void put(Session session, OrderId id, Optional<Order> draft, Asked asked) {
    draft.stream()
        .flatMap(order -> order.lines().stream())
        .filter(line -> line.item().id().equals(asked.item().id()))
        .findFirst()
        .ifPresentOrElse(
            line -> session.orders().setQuantity(line.id(), asked.supply(), asked.quantity()),
            () ->
                session.orders().addLine(id, asked.item().id(), asked.supply(), asked.quantity()));
  }

  /** Puts an item on a draft by its number or barcode. */
  @Allowed.ToBuy
  public Outcome addLine(Sent sent, OrderId id, String code, BigDecimal amount) {
    return once.run(
        sent,
        session ->
            draft(
                session,
                id,
                order -> {
                  List<Item> items = ScannedItems.of(session, code);
                  if (items.size() != 1) {
                    return Outcome.refused(
                        items.isEmpty()
                            ? new OrderRefusal.UnknownItem(code)
                            : new OrderRefusal.SeveralItems(code));
                  }
                  return put(session, sent, order, new Wish(items.get(0).id(), amount));
                }));
  }

  /** Changes how much a line of a draft asks for; nothing takes it off. */
  @Allowed.ToBuy
  public Outcome change(Sent sent, OrderId id, OrderLineId lineId, BigDecimal amount) {
    return once.run(
        sent,
        session ->
            draft(
                session,
                id,
                order -> {
                  Optional<Item> item = order.line(lineId).map(OrderLine::item);
                  if (item.isEmpty()) {
                    return Outcome.refused(new OrderRefusal.NoSuchLine());
                  }
                  if (amount.signum() > 0) {
                    return put(session, sent, order, new Wish(item.get().id(), amount));
                  }
                  session.orders().strike(lineId);
                  audit(session, sent, id, Deed.EDITED, facts(item.get(), amount));
                  return Outcome.done();
                }));
  }

  /** Puts so much of an item on a draft, or refuses it. */
  private Outcome put(Session session, Sent sent, Order order, Wish wish) {
    List<Refusal> refusals = new ArrayList<>();
    Optional<Asked> asked = asked(session, order.supplier(), wish, refusals);
    if (asked.isEmpty()) {
      return new Outcome.Refused(refusals);
    }
    put(session, order.id(), Optional.of(order), asked.get());
    audit(session, sent, order.id(), Deed.EDITED, facts(asked.get().item(), wish.amount()));
    return Outcome.done();
  }

  /** Writes a note for the supplier on a draft. */
  @Allowed.ToBuy
  public Outcome note(Sent sent, OrderId id, String note) {
    return once.run(
        sent,
        session ->
            draft(
                session,
                id,
                order -> {
                  session.orders().setNote(id, note);
                  audit(session, sent, id, Deed.EDITED, Facts.of("note", note));
                  return Outcome.done();
                }));
  }

  /** Throws a draft away. */
  @Allowed.ToBuy
  public Outcome drop(Sent sent, OrderId id) {
    return once.run(
        sent,
        session ->
            draft(
                session,
                id,
                order -> {
                  session.orders().delete(id);
                  audit(session, sent, id, Deed.DELETED, Facts.NONE);
                  return Outcome.done();
                }));
  }

  /**
   * Sends a draft; one worth more than one person may decide is signed by a second.
   *
   * @param seen the version that was looked at
   */
  @Allowed.ToBuy
  public Outcome send(Sent sent, OrderId id, long seen, SecondPerson.Signature signature) {
    return once.run(
        sent,
        session ->
            draft(
                session,
                id,
                order -> {
                  if (order.version() != seen) {
                    return Outcome.refused(new OrderRefusal.ChangedMeanwhile());
                  }
                  if (order.lines().isEmpty()) {
                    return Outcome.refused(new OrderRefusal.NothingToOrder());
                  }
                  Optional<SecondRefusal> refusal =
                      second.refusal(
                          session,
                          sent,
                          order.worth(session.settings().currency()),
                          Matter.ORDER,
                          id,
                          signature);
                  if (refusal.isPresent()) {
                    return Outcome.refused(refusal.get());
                  }
                  send(session, sent, order);
                  return Outcome.done(id);
                }));
  }

  private void send(Session session, Sent sent, Order order) {
    LocalDate today = clock.today();
    Supplier supplier = order.supplier();
    LocalDate promised = supplier.deliveries().arrival(today, supplier.leadDays());
    session.orders().send(order.id(), today, promised);
    if (gateway.reaches(supplier.name())) {
      session.mail().putOut(order.id(), "order-" + order.id() + "-" + today, clock.now());
    }
    audit(session, sent, order.id(), Deed.SENT, Facts.of("promised_on", promised));
  }

  private static Facts facts(Item item, BigDecimal amount) {
    return Facts.of("number", item.number()).with("quantity", amount.toPlainString());
  }

  /** Something done with a draft; counted as a change of it. */
  private interface WithDraft {
    Outcome run(Order order);
  }

  private static Outcome draft(Session session, OrderId id, WithDraft work) {
    Optional<Order> order = session.orders().byId(id);
    if (order.isEmpty()) {
      return Outcome.refused(new OrderRefusal.NoSuchOrder(id));
    }
    if (order.get().state() != OrderState.DRAFT) {
      return Outcome.refused(new OrderRefusal.NotNow(order.get().state()));
    }
    session.orders().changed(id);
    return work.run(order.get());
  }

  private void audit(Session session, Sent sent, OrderId id, Deed deed, Facts after) {
    session.audit().add(sent.line(clock.now(), Matter.ORDER, id, deed, Facts.NONE, after));
  }
}

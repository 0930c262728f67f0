package dev.lonja.desk.order;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.PastMovement;
import dev.lonja.core.ledger.Revaluation;
import dev.lonja.core.order.Invoice;
import dev.lonja.core.order.InvoiceId;
import dev.lonja.core.order.Order;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.quantity.Money;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.ledger.Postings;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.BuyersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.ledger.Posting;
import dev.lonja.store.order.InvoiceRepository;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Currency;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Enters what suppliers charged, and books the difference to what deliveries were taken in for. */
@Service
@Allowed.ToBuy
public class InvoiceDesk extends BuyersDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  InvoiceDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /**
   * An order with what came of it and what was charged for that.
   *
   * @param delivered in order of entry
   */
  public record Sheet(
      Order order,
      List<InvoiceRepository.Delivered> delivered,
      List<Invoice> invoices,
      Currency currency) {}

  /** Empty if there is no such order. */
  public Optional<Sheet> sheet(OrderId id) {
    return store.read(
        session ->
            session
                .orders()
                .byId(id)
                .map(
                    order ->
                        new Sheet(
                            order,
                            session.invoices().deliveries(id),
                            session.invoices().of(id),
                            session.settings().currency())));
  }

  /**
   * An invoice as it lies on the table.
   *
   * @param number as the supplier wrote it
   * @param charged by the movement that took a delivery in, what it says of that in all
   * @param freight what it says of freight and other costs; zero or more
   */
  public record Entry(
      String number, LocalDate datedOn, Map<Long, BigDecimal> charged, BigDecimal freight) {
    public Entry {
      charged = Map.copyOf(charged);
    }
  }

  /** Enters an invoice. */
  @Allowed.ToBuy
  public Outcome enter(Sent sent, OrderId id, Entry entry) {
    return once.run(
        sent,
        session ->
            session
                .orders()
                .byId(id)
                .map(order -> enter(session, sent, order, entry))
                .orElseGet(() -> Outcome.refused(new OrderRefusal.NoSuchOrder(id))));
  }

  private Outcome enter(Session session, Sent sent, Order order, Entry entry) {
    Currency currency = session.settings().currency();
    Money freight = Money.of(entry.freight(), currency);
    List<InvoiceRepository.Delivered> delivered = session.invoices().deliveries(order.id());
    Optional<Refusal> refusal = refusal(session, order, entry, delivered);
    if (refusal.isPresent()) {
      return Outcome.refused(refusal.get());
    }
    List<Invoice.Delivered> before =
        delivered.stream()
            .map(
                one ->
                    new Invoice.Delivered(
                        one.movementId(),
                        // freight that came before is no part of what is charged for it
                        one.booked(),
                        Optional.ofNullable(entry.charged().get(one.movementId()))
                            .map(amount -> Money.of(amount, currency))))
            .toList();
    Invoice.Facts invoice =
        new Invoice.Facts(entry.number(), entry.datedOn(), freight, Invoice.lines(before, freight));
    return book(session, sent, order, differences(invoice), "invoice " + entry.number())
        .orElseGet(
            () -> {
              session.invoices().add(order.id(), invoice, sent.actor(), clock.now());
              audit(
                  session,
                  sent,
                  order.id(),
                  Deed.ADDED,
                  Facts.of("invoice", entry.number()).with("total", invoice.total().exactText()));
              return Outcome.done(order.id());
            });
  }

  private Optional<Refusal> refusal(
      Session session, Order order, Entry entry, List<InvoiceRepository.Delivered> delivered) {
    if (delivered.isEmpty()) {
      return Optional.of(new OrderRefusal.NothingToInvoice());
    }
    if (entry.charged().isEmpty() && entry.freight().signum() == 0) {
      return Optional.of(new OrderRefusal.NothingCharged());
    }
    if (entry.datedOn().isAfter(clock.today())) {
      return Optional.of(new OrderRefusal.DatedAhead(entry.datedOn(), clock.today()));
    }
    Optional<OrderId> before = session.invoices().orderOf(order.supplier().id(), entry.number());
    if (before.isPresent()) {
      return Optional.of(new OrderRefusal.InvoicedBefore(entry.number(), before.get()));
    }
    boolean allOpen =
        entry.charged().keySet().stream()
            .allMatch(
                id ->
                    delivered.stream()
                        .anyMatch(one -> one.movementId() == id && !one.isInvoiced()));
    return allOpen ? Optional.empty() : Optional.of(new OrderRefusal.ChangedMeanwhile());
  }

  /** It was entered wrongly: what it changed is booked the other way, and it counts no more. */
  @Allowed.ToBuy
  public Outcome withdraw(Sent sent, OrderId id, InvoiceId invoiceId, String why) {
    return once.run(
        sent,
        session -> {
          Optional<Order> order = session.orders().byId(id);
          Optional<Invoice> invoice =
              session.invoices().of(id).stream()
                  .filter(one -> one.id().equals(invoiceId))
                  .filter(one -> one.withdrawnWhy().isEmpty())
                  .findFirst();
          if (order.isEmpty() || invoice.isEmpty()) {
            return Outcome.refused(new OrderRefusal.NoSuchInvoice());
          }
          Map<Long, Money> changed = differences(invoice.get().facts());
          Map<Long, Money> back = new LinkedHashMap<>();
          session.invoices().deliveries(id).stream()
              .map(InvoiceRepository.Delivered::movementId)
              .forEach(
                  movement ->
                      Optional.ofNullable(changed.get(movement))
                          .ifPresent(difference -> back.put(movement, difference.negated())));
          return book(session, sent, order.get(), back, why)
              .orElseGet(
                  () -> {
                    session.invoices().withdraw(invoiceId, why);
                    audit(
                        session,
                        sent,
                        id,
                        Deed.TAKEN_BACK,
                        Facts.of("invoice", invoice.get().facts().number()).with("why", why));
                    return Outcome.done(id);
                  });
        });
  }

  private static Map<Long, Money> differences(Invoice.Facts invoice) {
    Map<Long, Money> differences = new LinkedHashMap<>();
    invoice.lines().forEach(line -> differences.put(line.movementId(), line.difference()));
    return differences;
  }

  /** Books differences by delivery, each under what it falls on; why not, if it cannot be. */
  private Optional<Outcome> book(
      Session session, Sent sent, Order order, Map<Long, Money> differences, String reason) {
    List<Refusal> refusals = new ArrayList<>();
    int lineNo = 1;
    for (Map.Entry<Long, Money> one : differences.entrySet()) {
      PastMovement receipt = session.pastMovements().byId(one.getKey());
      ItemId item = receipt.place().itemId();
      var lots = session.lots().lotsOfReceipt(receipt.place().lotId());
      Booking booking =
          Revaluation.book(
              session.ledger().stockOf(item),
              receipt,
              lots,
              session.pastMovements().goneFrom(lots),
              one.getValue());
      for (Booking line : lineByLine(booking)) {
        String reference = reference(session, order, receipt, line);
        Posting posting = new Posting(reason, reference, sent.key(), sent.actor(), clock.now());
        if (Postings.write(session, item, line, posting, lineNo++) instanceof Outcome.Refused no) {
          refusals.addAll(no.reasons());
        }
      }
    }
    return refusals.isEmpty() ? Optional.empty() : Optional.of(new Outcome.Refused(refusals));
  }

  /** Each line is booked under a reference of its own. */
  private static List<Booking> lineByLine(Booking booking) {
    return booking instanceof Booking.Booked booked
        ? booked.lines().stream().<Booking>map(l -> new Booking.Booked(List.of(l))).toList()
        : List.of(booking);
  }

  /** What left the shelf costs what it was for. */
  private static String reference(
      Session session, Order order, PastMovement receipt, Booking booking) {
    return booking instanceof Booking.Booked booked
        ? booked.lines().stream()
            .flatMap(line -> line.refersTo().stream())
            .filter(answered -> answered != receipt.id())
            .findFirst()
            .map(answered -> session.ledger().line(answered).orElseThrow().cause().reference())
            .orElse("order " + order.id())
        : "";
  }

  private void audit(Session session, Sent sent, OrderId id, Deed deed, Facts after) {
    session.orders().changed(id);
    session.audit().add(sent.line(clock.now(), Matter.ORDER, id, deed, Facts.NONE, after));
  }
}

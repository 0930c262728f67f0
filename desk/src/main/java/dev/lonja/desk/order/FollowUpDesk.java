package dev.lonja.desk.order;

import dev.lonja.core.item.Item;
import dev.lonja.core.order.Claim;
import dev.lonja.core.order.ClaimId;
import dev.lonja.core.order.Order;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.order.OrderLine;
import dev.lonja.core.order.OrderLineId;
import dev.lonja.core.order.SupplierAnswer;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.BuyersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Optional;
import java.util.function.BiFunction;
import org.springframework.stereotype.Service;

/** Follows orders up: what suppliers said by telephone, what will not come, what is claimed. */
@Service
@Allowed.ToBuy
public class FollowUpDesk extends BuyersDesk {

  private final StoreClock clock;
  private final OnceOnly once;
  private final SupplierMail mail;

  FollowUpDesk(StoreClock clock, OnceOnly once, SupplierMail mail) {
    this.clock = clock;
    this.once = once;
    this.mail = mail;
  }

  /** Hands out what waits, and takes in what was answered; how many answers there were. */
  @Allowed.ToBuy
  public int lookForAnswers() {
    return mail.carry();
  }

  /**
   * Notes what the supplier said of a line by telephone or on paper.
   *
   * @param price what a piece, litre or kilogram costs now; empty if nothing was said of that
   */
  @Allowed.ToBuy
  public Outcome promise(
      Sent sent, OrderId id, OrderLineId lineId, LocalDate day, Optional<BigDecimal> price) {
    return once.run(
        sent,
        session ->
            line(
                session,
                id,
                lineId,
                (order, line) -> {
                  if (day.isBefore(clock.today())) {
                    return Outcome.refused(new OrderRefusal.PromisedInPast(day, clock.today()));
                  }
                  session
                      .orders()
                      .confirm(
                          lineId,
                          day,
                          price.map(p -> UnitPrice.of(p, session.settings().currency())));
                  audit(
                      session,
                      sent,
                      id,
                      Deed.EDITED,
                      Facts.of("number", line.item().number()).with("promised_on", day));
                  return Outcome.done();
                }));
  }

  /** Nobody waits for so much of a line any more. */
  @Allowed.ToBuy
  public Outcome giveUp(Sent sent, OrderId id, OrderLineId lineId, BigDecimal amount, String why) {
    return once.run(
        sent,
        session ->
            line(
                session,
                id,
                lineId,
                (order, line) -> {
                  Quantity more = Quantity.of(line.item().measure(), amount);
                  if (!more.isCountable()) {
                    return Outcome.refused(new OrderRefusal.NotCountable(more));
                  }
                  if (more.compareTo(line.outstanding()) > 0) {
                    return Outcome.refused(
                        new OrderRefusal.MoreThanToCome(more, line.outstanding()));
                  }
                  session.orders().giveUp(lineId, line.fate().givenUp().plus(more), why);
                  audit(
                      session,
                      sent,
                      id,
                      Deed.GIVEN_UP,
                      facts(line.item(), amount).with("why", why));
                  return Outcome.done();
                }));
  }

  /** Cancels all that is still to come of an order. */
  @Allowed.ToBuy
  public Outcome cancel(Sent sent, OrderId id, String why) {
    return once.run(
        sent,
        session -> {
          Optional<Order> order = session.orders().byId(id);
          if (order.isEmpty()) {
            return Outcome.refused(new OrderRefusal.NoSuchOrder(id));
          }
          if (!order.get().state().isOpen()) {
            return Outcome.refused(new OrderRefusal.NotNow(order.get().state()));
          }
          session.orders().changed(id);
          for (OrderLine line : order.get().waiting()) {
            session.orders().giveUp(line.id(), line.fate().givenUp().plus(line.outstanding()), why);
          }
          audit(session, sent, id, Deed.GIVEN_UP, Facts.of("why", why));
          return Outcome.done();
        });
  }

  /** Takes in an answer that came as a document. */
  @Allowed.ToBuy
  public Outcome takeIn(Sent sent, SupplierAnswer answer) {
    return once.run(
        sent,
        session ->
            mail.takeIn(session, answer, sent.actor())
                ? Outcome.done()
                : Outcome.refused(new OrderRefusal.TakenInBefore(answer.message())));
  }

  /** Settles a claim. */
  @Allowed.ToBuy
  public Outcome settle(Sent sent, ClaimId id, Claim.Outcome outcome, String why) {
    return once.run(
        sent,
        session -> {
          if (!session.claims().settle(id, new Claim.End(outcome, clock.today(), why))) {
            return Outcome.refused(new OrderRefusal.NoSuchClaim());
          }
          session
              .audit()
              .add(
                  sent.line(
                      clock.now(),
                      Matter.CLAIM,
                      id,
                      Deed.EDITED,
                      Facts.NONE,
                      Facts.of("outcome", outcome).with("why", why)));
          return Outcome.done();
        });
  }

  private static Facts facts(Item item, BigDecimal amount) {
    return Facts.of("number", item.number()).with("quantity", amount.toPlainString());
  }

  /** Something done with a line of which something is still to come. */
  private static Outcome line(
      Session session, OrderId id, OrderLineId lineId, BiFunction<Order, OrderLine, Outcome> work) {
    Optional<Order> order = session.orders().byId(id);
    if (order.isEmpty()) {
      return Outcome.refused(new OrderRefusal.NoSuchOrder(id));
    }
    Optional<OrderLine> line = order.get().line(lineId);
    if (line.isEmpty()) {
      return Outcome.refused(new OrderRefusal.NoSuchLine());
    }
    if (!order.get().waiting().contains(line.get())) {
      return Outcome.refused(new OrderRefusal.NotNow(order.get().state()));
    }
    session.orders().changed(id);
    return work.apply(order.get(), line.get());
  }

  private void audit(Session session, Sent sent, OrderId id, Deed deed, Facts after) {
    session.audit().add(sent.line(clock.now(), Matter.ORDER, id, deed, Facts.NONE, after));
  }
}

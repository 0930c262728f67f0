package dev.lonja.desk.order;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.order.AnswerEffect;
import dev.lonja.core.order.Order;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.order.OrderLine;
import dev.lonja.core.order.Said;
import dev.lonja.core.order.SupplierAnswer;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.order.MailRepository;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Carries orders to suppliers' systems and their answers back. What was sent waits in the store, so
 * that it goes out once however often the process ends between: one that was handed over and not
 * noted as such goes again under the same message, which the other side takes for the same.
 */
@Component
public class SupplierMail {

  private static final Logger LOG = LoggerFactory.getLogger(SupplierMail.class);

  private final LonjaStore store;
  private final StoreClock clock;
  private final SupplierGateway gateway;

  public SupplierMail(LonjaStore store, StoreClock clock, SupplierGateway gateway) {
    this.store = store;
    this.clock = clock;
    this.gateway = gateway;
  }

  /** Hands out what waits, and takes in what was answered; how many answers there were. */
  public synchronized int carry() {
    handOut();
    List<SupplierAnswer> answers = gateway.waiting();
    answers.forEach(this::takeIn);
    return answers.size();
  }

  /** One that cannot be taken in waits and keeps no other waiting. */
  private void takeIn(SupplierAnswer answer) {
    try {
      store.write(session -> takeIn(session, answer, answer.supplier()));
      gateway.acknowledge(answer);
    } catch (RuntimeException e) {
      LOG.error("answer {} of {} could not be taken in", answer.message(), answer.supplier(), e);
    }
  }

  private void handOut() {
    List<MailRepository.Outgoing> waiting = store.read(session -> session.mail().waiting());
    for (MailRepository.Outgoing outgoing : waiting) {
      Order order = store.read(session -> session.orders().byId(outgoing.order())).orElseThrow();
      boolean handed = hand(outgoing, order);
      store.write(
          session -> {
            if (handed) {
              session.mail().handed(outgoing, clock.now());
            } else {
              session.mail().tried(outgoing);
            }
            return handed;
          });
    }
  }

  private boolean hand(MailRepository.Outgoing outgoing, Order order) {
    try {
      return gateway.hand(outgoing.message(), order);
    } catch (RuntimeException e) {
      LOG.error("{} could not be handed to {}", outgoing.message(), order.supplier().name(), e);
      return false;
    }
  }

  /**
   * Takes an answer in, once; nothing of it is lost, whether it can be used or not.
   *
   * @param actor who brings it
   * @return false if it was taken in before
   */
  boolean takeIn(Session session, SupplierAnswer answer, String actor) {
    if (session.mail().isKnown(answer.message())) {
      return false;
    }
    Optional<Order> order =
        session
            .orders()
            .byId(answer.order())
            .filter(known -> known.supplier().name().equals(answer.supplier()));
    if (order.isEmpty() || order.get().sentOn().isEmpty()) {
      unused(session, Optional.empty(), answer, "there is no order " + answer.order(), actor);
      return true;
    }
    for (Said said : answer.said()) {
      order
          .get()
          .line(said.line())
          .ifPresentOrElse(
              line -> new Taking(session, order.get(), answer, line, actor).take(said),
              () ->
                  unused(
                      session,
                      Optional.of(answer.order()),
                      answer,
                      "it has no line " + said.line(),
                      actor));
    }
    session.orders().changed(answer.order());
    return true;
  }

  private void unused(
      Session session, Optional<OrderId> order, SupplierAnswer answer, String why, String actor) {
    session.mail().keepUnused(order, answer.message(), why, actor, clock.now());
  }

  /** One line of an answer on its way in. */
  private final class Taking {

    private final Session session;
    private final Order order;
    private final SupplierAnswer answer;
    private final OrderLine line;
    private final String actor;

    Taking(Session session, Order order, SupplierAnswer answer, OrderLine line, String actor) {
      this.session = session;
      this.order = order;
      this.answer = answer;
      this.line = line;
      this.actor = actor;
    }

    void take(Said said) {
      Cases.<AnswerEffect, Runnable>over(AnswerEffect.class)
          .when(AnswerEffect.TooLate.class, none -> () -> keep(said, true))
          .when(
              AnswerEffect.NotUsed.class,
              none ->
                  () ->
                      unused(
                          session,
                          Optional.of(order.id()),
                          answer,
                          "line " + line.item().number() + ": " + none.why(),
                          actor))
          .when(AnswerEffect.Holds.class, holds -> () -> hold(said, holds))
          .when(AnswerEffect.AskFirst.class, ask -> () -> keep(said, false))
          .when(
              AnswerEffect.GivenUp.class,
              gone ->
                  () -> {
                    keep(said, false);
                    session.orders().giveUp(line.id(), gone.all(), gone.why());
                  })
          .all()
          .apply(AnswerEffect.of(line, said))
          .run();
    }

    private void hold(Said said, AnswerEffect.Holds holds) {
      keep(said, false);
      session.orders().confirm(line.id(), holds.arrives(), holds.price());
      if (!holds.givenUp().equals(line.fate().givenUp())) {
        session.orders().giveUp(line.id(), holds.givenUp(), why(holds.givenUp()));
      }
    }

    private String why(Quantity givenUp) {
      return answer.supplier() + " confirmed " + line.ordered().minus(givenUp).display();
    }

    private void keep(Said said, boolean tooLate) {
      session.mail().keep(order.id(), answer.message(), said, tooLate, actor, clock.now());
    }
  }
}

package dev.lonja.desk.order;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.order.Claim;
import dev.lonja.core.order.Order;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.order.OrderLine;
import dev.lonja.core.order.OrderLineId;
import dev.lonja.core.part.BoxContent;
import dev.lonja.core.part.Part;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.crossref.StandIns;
import dev.lonja.desk.find.ScannedItems;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.ledger.Receiving;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.BuyersDesk;
import dev.lonja.desk.place.PutAways;
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
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Takes in at the door what was ordered, and notes what is wrong with it. */
@Service
@Allowed.ToSeeStore
public class DoorDesk extends BuyersDesk {

  private static final Comparator<Awaited> SOONEST_FIRST =
      Comparator.comparing((Awaited awaited) -> awaited.promisedOn())
          .thenComparing(awaited -> awaited.order().id())
          .thenComparing(awaited -> awaited.line().id());

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  DoorDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** A line of which something is still to come. */
  public record Awaited(Order order, OrderLine line) {

    /** When it is to be there. */
    public LocalDate promisedOn() {
      return line.fate().promisedOn().orElse(LocalDate.MAX);
    }
  }

  /** All that is awaited, what is promised first in front. */
  public List<Awaited> awaited() {
    return store.read(DoorDesk::awaited);
  }

  /**
   * What is awaited of the things that a code may mean, what is promised first in front.
   *
   * @param codes the same thing written in several ways
   */
  public List<Awaited> awaited(List<String> codes) {
    return store.read(session -> awaited(session, codes));
  }

  private static List<Awaited> awaited(Session session, List<String> codes) {
    Set<ItemId> items =
        codes.stream()
            .flatMap(code -> ScannedItems.of(session, code).stream())
            .map(Item::id)
            .collect(Collectors.toSet());
    return awaited(session).stream()
        .filter(awaited -> items.contains(awaited.line().item().id()))
        .toList();
  }

  /** A line for which something else may have come, and how that does in its place. */
  public record InPlace(Awaited awaited, StandIns.StandIn standIn) {}

  /**
   * The lines for which a thing that nobody awaits may have come, what fits best first.
   *
   * @param codes the same thing written in several ways
   */
  public List<InPlace> inPlaceOf(List<String> codes) {
    return store.read(
        session -> {
          StandIns standIns = standIns(session);
          return codes.stream()
              .flatMap(
                  code ->
                      awaited(session).stream()
                          .flatMap(awaited -> inPlace(session, standIns, awaited, code).stream()))
              .distinct()
              .sorted(Comparator.comparing((InPlace one) -> one.standIn().verdict()))
              .toList();
        });
  }

  private static Optional<InPlace> inPlace(
      Session session, StandIns standIns, Awaited awaited, String code) {
    return new InPlaceOf(session, standIns, awaited.line().item(), code)
        .standIn()
        .map(standIn -> new InPlace(awaited, standIn));
  }

  private StandIns standIns(Session session) {
    return new StandIns(session, FleetPicture.load(session, clock.today()));
  }

  /**
   * A line at the door, with what the sample is held against.
   *
   * @param box what is to come in its box
   * @param into where it is put
   */
  public record Sample(
      Awaited awaited,
      Part part,
      List<BoxContent> box,
      boolean hasPicture,
      List<PutAways.Into> into) {}

  /**
   * A line of an order that was sent; empty if there is none such.
   *
   * @param count how many came as a code says; empty if none does
   */
  public Optional<Sample> sample(OrderId id, OrderLineId lineId, Optional<BigDecimal> count) {
    return store.read(
        session ->
            session
                .orders()
                .byId(id)
                .filter(order -> order.sentOn().isPresent())
                .flatMap(order -> order.line(lineId).map(line -> new Awaited(order, line)))
                .map(awaited -> sample(session, awaited, count)));
  }

  private static Sample sample(Session session, Awaited awaited, Optional<BigDecimal> count) {
    Quantity came =
        count
            .map(read -> Quantity.of(awaited.line().item().measure(), read))
            .filter(Quantity::isPositive)
            .orElse(awaited.line().outstanding());
    Item item = awaited.line().item();
    return new Sample(
        awaited,
        session.parts().byId(item.partId()).orElseThrow(),
        session.boxes().of(item.partId()),
        session.keeping().hasPicture(item.id()),
        came.isPositive() ? new PutAways(session).of(item, came) : List.of());
  }

  private static List<Awaited> awaited(Session session) {
    return session.orders().open().stream()
        .flatMap(order -> order.waiting().stream().map(line -> new Awaited(order, line)))
        .sorted(SOONEST_FIRST)
        .toList();
  }

  /**
   * What came of a line.
   *
   * @param damaged what is set aside and claimed, in the same lot; zero or more
   * @param receipt where it goes and what it cost; its amount is that of what is good
   * @param keepMore true if more than is still to come is kept
   * @param claims what else is wrong
   * @param instead what came in place of what was ordered; empty if that itself came
   */
  public record Came(
      BigDecimal damaged,
      Receiving.Receipt receipt,
      boolean keepMore,
      List<Wrong> claims,
      Optional<Instead> instead) {}

  /**
   * Something else that came.
   *
   * @param isKept true if somebody said to keep it, knowing how it does
   */
  public record Instead(String code, boolean isKept) {}

  /**
   * Something wrong that is claimed and not booked.
   *
   * @param amount above zero, in the item's measure
   */
  public record Wrong(Claim.Kind kind, BigDecimal amount, String words) {}

  /** Takes in what came of a line, and opens claims for what is wrong with it. */
  @Allowed.ToBuy
  public Outcome receive(Sent sent, OrderId id, OrderLineId lineId, Came came) {
    return once.run(
        sent,
        session -> {
          Optional<Order> order = session.orders().byId(id).filter(o -> o.sentOn().isPresent());
          if (order.isEmpty()) {
            return Outcome.refused(new OrderRefusal.NoSuchOrder(id));
          }
          return order
              .get()
              .line(lineId)
              .map(line -> new Taking(session, sent, order.get(), line, came).take())
              .orElseGet(() -> Outcome.refused(new OrderRefusal.NoSuchLine()));
        });
  }

  /** One line of a delivery on its way in. */
  private final class Taking {

    private final Session session;
    private final Sent sent;
    private final Order order;
    private final OrderLine line;
    private final Came came;
    private final Posting posting;
    private final List<Refusal> refusals = new ArrayList<>();
    private final Optional<InPlaceOf> instead;

    Taking(Session session, Sent sent, Order order, OrderLine line, Came came) {
      this.session = session;
      this.sent = sent;
      this.order = order;
      this.line = line;
      this.came = came;
      this.instead =
          came.instead()
              .map(other -> new InPlaceOf(session, standIns(session), line.item(), other.code()));
      this.posting =
          new Posting(
              came.receipt().note(), "order " + order.id(), sent.key(), sent.actor(), clock.now());
    }

    Outcome take() {
      BigDecimal good = came.receipt().amount();
      if (good.signum() == 0 && came.damaged().signum() == 0 && came.claims().isEmpty()) {
        return Outcome.refused(new OrderRefusal.NothingCame());
      }
      Quantity all = quantity(good.add(came.damaged()));
      // what is only claimed may be anything
      Optional<OrderRefusal> other =
          instead
              .filter(one -> all.isPositive())
              .flatMap(one -> one.refusal(came.instead().orElseThrow().isKept()));
      if (other.isPresent()) {
        return Outcome.refused(other.get());
      }
      if (all.compareTo(line.outstanding()) > 0 && !came.keepMore()) {
        return Outcome.refused(new OrderRefusal.MoreThanOrdered(all, line.outstanding()));
      }
      came.claims().stream()
          .map(wrong -> quantity(wrong.amount()))
          .filter(amount -> !amount.isCountable())
          .forEach(amount -> refusals.add(new OrderRefusal.NotCountable(amount)));
      if (good.signum() > 0) {
        book(came.receipt(), 1);
      }
      if (came.damaged().signum() > 0 && refusals.isEmpty()) {
        book(setAside(), 2);
      }
      if (!refusals.isEmpty()) {
        return new Outcome.Refused(refusals);
      }
      claim();
      session.orders().changed(order.id());
      session
          .audit()
          .add(
              sent.line(
                  clock.now(),
                  Matter.ORDER,
                  order.id(),
                  Deed.RECEIVED,
                  Facts.NONE,
                  Facts.of("number", line.item().number())
                      .with("came_as", booked().number())
                      .with("good", good.toPlainString())
                      .with("damaged", came.damaged().toPlainString())
                      .with("claims", came.claims().size())));
      return Outcome.done(order.id());
    }

    private Quantity quantity(BigDecimal amount) {
      return Quantity.of(line.item().measure(), amount);
    }

    /** What is damaged costs as much a piece as what is good. */
    private Receiving.Receipt setAside() {
      Receiving.Receipt good = came.receipt();
      return new Receiving.Receipt(
          came.damaged(),
          good.lotCode(),
          good.bin(),
          good.expiresOn(),
          line.holds().valueOf(quantity(came.damaged())).amount(),
          good.note(),
          good.warmth(),
          new Receiving.Answers(good.answers().keepApart(), true));
    }

    /** The item that lies on the shelf afterwards. */
    private Item booked() {
      return instead.flatMap(InPlaceOf::item).orElse(line.item());
    }

    private void book(Receiving.Receipt receipt, int lineNo) {
      Outcome outcome =
          new Receiving(session, clock).receive(booked().id(), receipt, posting, lineNo);
      if (outcome instanceof Outcome.Refused refused) {
        refusals.addAll(refused.reasons());
      } else {
        session
            .orders()
            .deliver(
                line.id(),
                Long.parseLong(((Outcome.Done) outcome).answer()),
                receipt.note(),
                clock.today());
      }
    }

    private void claim() {
      if (came.damaged().signum() > 0) {
        claim(new Wrong(Claim.Kind.DAMAGED, came.damaged(), ""));
      }
      came.claims().forEach(this::claim);
    }

    private void claim(Wrong wrong) {
      session
          .claims()
          .add(
              line.id(),
              wrong.kind(),
              quantity(wrong.amount()),
              wrong.words(),
              clock.today(),
              sent.actor(),
              clock.now());
    }
  }
}

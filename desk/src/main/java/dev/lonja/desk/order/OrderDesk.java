package dev.lonja.desk.order;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.order.Order;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.order.OrderLineId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.BuyersDesk;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.order.ClaimRepository;
import dev.lonja.store.order.MailRepository;
import dev.lonja.store.order.OrderRepository;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Answers what is ordered, how far it is, and what suppliers said of it. */
@Service
@Allowed.ToSeeStore
public class OrderDesk extends BuyersDesk {

  /** Orders that are closed are looked back on for so long. */
  private static final int MONTHS_BACK = 14;

  private static final int MOST_UNUSED = 20;

  private final LonjaStore store;
  private final StoreClock clock;
  private final SupplierGateway gateway;

  OrderDesk(LonjaStore store, StoreClock clock, SupplierGateway gateway) {
    this.store = store;
    this.clock = clock;
    this.gateway = gateway;
  }

  /**
   * What is ordered.
   *
   * @param orders open ones and those of the last 14 months, the latest first
   * @param claims that are open
   * @param unused answers that could not be used, the latest first
   */
  public record Board(
      List<Order> orders,
      List<ClaimRepository.OfOrder> claims,
      List<MailRepository.Answer> unused) {}

  /**
   * One order with what is known of it.
   *
   * @param cameAs what of it came as another item
   * @param byGateway true if the supplier's system is reached
   * @param waits true if it still waits to be handed there
   */
  public record File(
      Order order,
      List<MailRepository.Answer> answers,
      List<ClaimRepository.OfOrder> claims,
      List<CameAs> cameAs,
      boolean byGateway,
      boolean waits) {}

  /** What everything is paid in. */
  public Currency currency() {
    return store.read(session -> session.settings().currency());
  }

  public Board board() {
    return store.read(
        session ->
            new Board(
                session.orders().since(clock.today().minusMonths(MONTHS_BACK)),
                session.claims().open(),
                session.mail().unused(MOST_UNUSED)));
  }

  public Optional<File> file(OrderId id) {
    return store.read(
        session ->
            session
                .orders()
                .byId(id)
                .map(
                    order ->
                        new File(
                            order,
                            session.mail().of(id),
                            session.claims().of(id),
                            cameAs(session, id),
                            gateway.reaches(order.supplier().name()),
                            session.mail().waits(id))));
  }

  /** What came of a line as another item. */
  public record CameAs(OrderLineId line, Item item, Quantity quantity) {}

  private static List<CameAs> cameAs(Session session, OrderId id) {
    List<OrderRepository.CameAs> came = session.orders().cameAs(id);
    Map<ItemId, Item> items =
        session.items().byIds(came.stream().map(OrderRepository.CameAs::item).toList());
    return came.stream()
        .map(one -> new CameAs(one.line(), items.get(one.item()), one.quantity()))
        .toList();
  }
}

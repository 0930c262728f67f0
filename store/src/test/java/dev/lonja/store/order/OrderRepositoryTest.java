package dev.lonja.store.order;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.order.Coming;
import dev.lonja.core.order.Order;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.order.OrderLine;
import dev.lonja.core.order.OrderState;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.supplier.Supply;
import dev.lonja.store.ExampleStore;
import dev.lonja.store.Session;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** An order of ten filters at 18.90 of the example store's item 8, from its only supplier. */
class OrderRepositoryTest {

  private static final ItemId FILTER = new ItemId(8);
  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final LocalDate PROMISED = LocalDate.parse("2027-03-24");

  @RegisterExtension final ExampleStore store = new ExampleStore();
  private OrderId id;

  @BeforeEach
  void draft() {
    id =
        store.write(
            session -> {
              Supply supply = session.supplies().of(FILTER).get(0);
              OrderId made = session.orders().add(supply.supplier().id(), TODAY);
              session.orders().addLine(made, FILTER, supply, Quantity.pieces(10));
              return made;
            });
  }

  private void write(Consumer<Session> work) {
    store.write(
        session -> {
          work.accept(session);
          return true;
        });
  }

  private Order order() {
    return store.<Optional<Order>>read(s -> s.orders().byId(id)).orElseThrow();
  }

  private OrderLine line() {
    return order().lines().get(0);
  }

  private Map<ItemId, List<Coming>> coming() {
    return store.read(s -> s.orders().coming());
  }

  /** One costs 18.90, from six on 17.50. */
  @Test
  void whatOneCostsFollowsHowManyAreAskedFor() {
    assertThat(line().cost().exactText()).isEqualTo("175.00");
    write(
        s ->
            s.orders()
                .setQuantity(line().id(), s.supplies().of(FILTER).get(0), Quantity.pieces(5)));
    assertThat(line().cost().exactText()).isEqualTo("94.50");
  }

  /** A draft says nothing, and only the last order of a thing counts. */
  @Test
  void whatWasCancelledBeforeAnyOfItCameIsRemembered() {
    OrderRepository.Source source = new OrderRepository.Source(order().supplier().id(), FILTER);
    write(s -> s.orders().giveUp(line().id(), Quantity.pieces(10), "sold out"));
    assertThat(neverCame()).isEmpty();
    write(s -> s.orders().send(id, TODAY, PROMISED));
    assertThat(neverCame()).containsExactly(source);
    write(s -> s.orders().giveUp(line().id(), Quantity.pieces(9), "sold out"));
    assertThat(neverCame()).isEmpty();
    write(s -> s.orders().giveUp(line().id(), Quantity.pieces(10), "sold out"));
    write(
        s -> {
          OrderId next = s.orders().add(order().supplier().id(), TODAY);
          s.orders().addLine(next, FILTER, s.supplies().of(FILTER).get(0), Quantity.pieces(2));
          s.orders().send(next, TODAY.plusDays(1), PROMISED);
        });
    assertThat(neverCame()).isEmpty();
  }

  private Set<OrderRepository.Source> neverCame() {
    return store.read(s -> s.orders().neverCame());
  }

  @Test
  void aDraftBringsNothingYet() {
    assertThat(order().state()).isEqualTo(OrderState.DRAFT);
    assertThat(line().cost().exactText()).isEqualTo("175.00");
    assertThat(coming()).isEmpty();
    assertThat(store.<List<Order>>read(s -> s.orders().open())).containsExactly(order());
  }

  @Test
  void whatIsSentIsComingOnItsDay() {
    write(s -> s.orders().send(id, TODAY, PROMISED));
    assertThat(order().state()).isEqualTo(OrderState.SENT);
    assertThat(coming().get(FILTER))
        .containsExactly(new Coming(PROMISED, Quantity.pieces(10), id, order().supplier().name()));
  }

  @Test
  void whatIsConfirmedAndGivenUpChangesWhatComes() {
    UnitPrice dearer = UnitPrice.of(new BigDecimal("20"), Currency.getInstance("EUR"));
    write(s -> s.orders().send(id, TODAY, PROMISED));
    write(s -> s.orders().confirm(line().id(), PROMISED.plusDays(7), Optional.of(dearer)));
    assertThat(order().state()).isEqualTo(OrderState.CONFIRMED);
    assertThat(line().cost().exactText()).isEqualTo("200.00");
    write(s -> s.orders().giveUp(line().id(), Quantity.pieces(4), "sold out"));
    assertThat(coming().get(FILTER).get(0).quantity()).isEqualTo(Quantity.pieces(6));
    assertThat(line().cost().exactText()).isEqualTo("120.00");
    write(s -> s.orders().giveUp(line().id(), Quantity.pieces(10), "sold out"));
    assertThat(order().state()).isEqualTo(OrderState.CANCELLED);
    assertThat(coming()).isEmpty();
    assertThat(store.<List<Order>>read(s -> s.orders().open())).isEmpty();
  }

  @Test
  void aDraftThatIsThrownAwayIsGone() {
    write(s -> s.orders().delete(id));
    assertThat(store.<Optional<Order>>read(s -> s.orders().byId(id))).isEmpty();
  }

  @Test
  void whoLooksAtAnEarlierStateCanTell() {
    long before = order().version();
    write(s -> s.orders().changed(id));
    assertThat(order().version()).isEqualTo(before + 1);
  }
}

package dev.lonja.desk.order;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.order.Order;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.order.OrderLine;
import dev.lonja.core.order.OrderState;
import dev.lonja.core.order.Said;
import dev.lonja.core.order.SupplierAnswer;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.supplier.Supply;
import dev.lonja.desk.Cage;
import dev.lonja.store.order.MailRepository;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * An order of ten filters at 18.90 of Veldmark Marine Parts, sent today and promised for 9 April.
 */
class SupplierMailTest {

  private static final String VELDMARK = "Veldmark Marine Parts";
  private static final ItemId FILTER = new ItemId(8);
  private static final LocalDate PROMISED = LocalDate.parse("2027-04-09");

  @RegisterExtension private final Cage cage = new Cage();
  private final SupplierGateway gateway = mock(SupplierGateway.class);
  private SupplierMail mail;
  private OrderId id;

  @BeforeEach
  void send() {
    mail = new SupplierMail(cage.store(), cage.clock(), gateway);
    cage.write(
        session -> {
          Supply supply = session.supplies().of(FILTER).get(0);
          id = session.orders().add(supply.supplier().id(), Cage.TODAY);
          session.orders().addLine(id, FILTER, supply, Quantity.pieces(10));
          session.orders().send(id, Cage.TODAY, PROMISED);
          session.mail().putOut(id, "order-1", cage.clock().now());
        });
  }

  private Order order() {
    return cage.<Optional<Order>>read(session -> session.orders().byId(id)).orElseThrow();
  }

  private OrderLine line() {
    return order().lines().get(0);
  }

  private void answer(String message, String supplier, OrderId about, Said... said) {
    SupplierAnswer answer = new SupplierAnswer(message, supplier, about, List.of(said));
    when(gateway.waiting()).thenReturn(List.of(answer));
    mail.carry();
    verify(gateway, times(1)).acknowledge(answer);
  }

  private void answer(String message, Said... said) {
    answer(message, VELDMARK, id, said);
  }

  private List<MailRepository.Answer> kept() {
    return cage.read(session -> session.mail().of(id));
  }

  private Said.Confirmed confirmed(long pieces, LocalDate day) {
    return new Said.Confirmed(line().id(), Quantity.pieces(pieces), Optional.empty(), day);
  }

  /** The process ended before it was noted: it goes again under the same message. */
  @Test
  void whatWaitsGoesOutUntilItIsNoted() {
    when(gateway.hand(eq("order-1"), any())).thenReturn(false, true);
    mail.carry();
    assertThat(cage.<Boolean>read(session -> session.mail().waits(id))).isTrue();
    mail.carry();
    assertThat(cage.<Boolean>read(session -> session.mail().waits(id))).isFalse();
    mail.carry();
    verify(gateway, times(2)).hand(eq("order-1"), any());
  }

  /** The line breaks while it is handed over: it is tried again. */
  @Test
  void aGatewayThatFailsIsTriedAgain() {
    when(gateway.hand(eq("order-1"), any()))
        .thenThrow(new IllegalStateException("line broken"))
        .thenReturn(true);
    mail.carry();
    assertThat(cage.<Boolean>read(session -> session.mail().waits(id))).isTrue();
    mail.carry();
    assertThat(cage.<Boolean>read(session -> session.mail().waits(id))).isFalse();
  }

  @Test
  void aYesIsNotedWithItsDayAndPrice() {
    UnitPrice dearer = UnitPrice.of(new BigDecimal("19.50"), Currency.getInstance("EUR"));
    answer(
        "a-1",
        new Said.Confirmed(
            line().id(), Quantity.pieces(10), Optional.of(dearer), PROMISED.plusDays(7)));
    assertThat(order().state()).isEqualTo(OrderState.CONFIRMED);
    assertThat(line().fate().promisedOn()).contains(PROMISED.plusDays(7));
    assertThat(line().holds()).isEqualTo(dearer);
    assertThat(line().price()).isNotEqualTo(dearer);
  }

  @Test
  void aYesToLessGivesTheRestUp() {
    answer("a-1", confirmed(7, PROMISED));
    assertThat(line().outstanding()).isEqualTo(Quantity.pieces(7));
    assertThat(line().fate().why()).isEqualTo("Veldmark Marine Parts confirmed 7");
    answer("a-2", confirmed(0, PROMISED));
    assertThat(order().state()).isEqualTo(OrderState.CANCELLED);
  }

  @Test
  void partShippedLeavesTheRestToCome() {
    answer("a-1", new Said.Shipped(line().id(), Quantity.pieces(4), PROMISED.minusDays(2)));
    assertThat(line().outstanding()).isEqualTo(Quantity.pieces(10));
    assertThat(line().fate().promisedOn()).contains(PROMISED.minusDays(2));
  }

  /** Another number changes nothing until somebody has decided. */
  @Test
  void aSupersededNumberIsAskedAbout() {
    answer("a-1", new Said.Superseded(line().id(), "22-1010-B"));
    assertThat(order().state()).isEqualTo(OrderState.SENT);
    assertThat(kept()).extracting(said -> said.said().words()).containsExactly("22-1010-B");
  }

  @Test
  void aCancelledLineComesNoMore() {
    answer("a-1", new Said.Cancelled(line().id(), "not made any more"));
    assertThat(order().state()).isEqualTo(OrderState.CANCELLED);
    assertThat(line().fate().why()).isEqualTo("not made any more");
  }

  /** A supplier who gives no reason, or a long one, stops nobody else's answers. */
  @Test
  void aReasonThatIsNoneOrTooLongIsTakenIn() {
    answer("a-1", new Said.Superseded(line().id(), "x".repeat(900)));
    answer("a-2", new Said.Cancelled(line().id(), " "));
    assertThat(order().state()).isEqualTo(OrderState.CANCELLED);
    assertThat(line().fate().why()).isEqualTo("no reason given");
    assertThat(kept().get(0).said().words()).hasSize(200);
  }

  @Test
  void theSameMessageIsTakenInOnce() {
    answer("a-1", confirmed(7, PROMISED));
    answer("a-1", VELDMARK, id, confirmed(3, PROMISED.plusDays(1)));
    assertThat(line().outstanding()).isEqualTo(Quantity.pieces(7));
    assertThat(kept()).hasSize(1);
  }

  @Test
  void whatComesTooLateIsKeptAndChangesNothing() {
    answer("a-1", new Said.Cancelled(line().id(), "sold out"));
    answer("a-2", confirmed(10, PROMISED));
    assertThat(order().state()).isEqualTo(OrderState.CANCELLED);
    assertThat(kept()).extracting(MailRepository.Answer::tooLate).containsExactly(false, true);
  }

  @Test
  void anAnswerOfAnOrderThatTheStoreDoesNotHaveIsKeptAsUnused() {
    answer("a-1", VELDMARK, new OrderId(900), confirmed(10, PROMISED));
    answer("a-2", "Cabo Norte Supply", id, confirmed(1, PROMISED));
    assertThat(line().outstanding()).isEqualTo(Quantity.pieces(10));
    assertThat(cage.<List<MailRepository.Answer>>read(session -> session.mail().unused(9)))
        .extracting(unused -> unused.said().words())
        .containsExactly("there is no order " + id, "there is no order 900");
  }

  @Test
  void nonsenseIsKeptAsUnused() {
    answer("a-1", confirmed(-1, PROMISED));
    answer("a-2", confirmed(11, PROMISED));
    answer(
        "a-3",
        new Said.Confirmed(
            line().id(),
            Quantity.of(Measure.PIECES, new BigDecimal("0.5")),
            Optional.empty(),
            PROMISED));
    assertThat(line().outstanding()).isEqualTo(Quantity.pieces(10));
    assertThat(kept())
        .extracting(said -> said.said().kind())
        .containsOnly(MailRepository.Kind.NOT_USED);
  }
}

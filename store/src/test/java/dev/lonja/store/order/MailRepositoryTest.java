package dev.lonja.store.order;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import dev.lonja.core.order.OrderId;
import dev.lonja.core.order.OrderLineId;
import dev.lonja.core.order.Said;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.store.ExampleStore;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** An order of ten filters is handed to a supplier, who answers. */
class MailRepositoryTest {

  private static final LocalDate TODAY = TenFilters.TODAY;

  @RegisterExtension final ExampleStore store = new ExampleStore();
  private OrderId order;
  private OrderLineId line;

  @BeforeEach
  void tenFilters() {
    order = TenFilters.sent(store);
    line = store.read(s -> s.orders().byId(order).orElseThrow().lines().get(0).id());
  }

  private static final Instant NOW = Instant.parse("2027-03-15T09:00:00Z");

  private List<MailRepository.Outgoing> waiting() {
    return store.read(s -> s.mail().waiting());
  }

  /** A try that failed leaves it in the outbox; one that did not takes it out. */
  @Test
  void whatIsPutOutWaitsUntilItIsHanded() {
    store.change(s -> s.mail().putOut(order, "order-1", NOW));
    assertThat(waiting())
        .extracting(MailRepository.Outgoing::order, MailRepository.Outgoing::message)
        .containsExactly(tuple(order, "order-1"));
    MailRepository.Outgoing out = waiting().get(0);
    store.change(s -> s.mail().tried(out));
    assertThat(waiting()).containsExactly(out);
    assertThat(store.<Boolean>read(s -> s.mail().waits(order))).isTrue();
    store.change(s -> s.mail().handed(out, NOW));
    assertThat(waiting()).isEmpty();
    assertThat(store.<Boolean>read(s -> s.mail().waits(order))).isFalse();
  }

  /**
   * What each kind of answer says is kept in its own columns: 9 at 18.50, of which 4 are shipped.
   */
  @Test
  void answersAreKeptAsTheyWereSaid() {
    LocalDate arrives = TODAY.plusDays(12);
    UnitPrice price = UnitPrice.of(new BigDecimal("18.50"), Currency.getInstance("EUR"));
    List<Said> said =
        List.of(
            new Said.Confirmed(line, Quantity.pieces(9), Optional.of(price), arrives),
            new Said.Shipped(line, Quantity.pieces(4), arrives),
            new Said.Superseded(line, "22-1010-B"),
            new Said.Cancelled(line, "sold out"));
    store.change(
        s -> said.forEach(one -> s.mail().keep(order, "answer-1", one, false, "supplier", NOW)));
    List<MailRepository.Answer> answers = store.read(s -> s.mail().of(order));
    assertThat(answers)
        .extracting(MailRepository.Answer::said)
        .containsExactly(
            new MailRepository.Facts(
                MailRepository.Kind.CONFIRMED,
                Optional.of(9_000_000L),
                Optional.of(price.tenThousandthsOfMinor()),
                Optional.of(arrives),
                ""),
            new MailRepository.Facts(
                MailRepository.Kind.SHIPPED,
                Optional.of(4_000_000L),
                Optional.empty(),
                Optional.of(arrives),
                ""),
            words(MailRepository.Kind.SUPERSEDED, "22-1010-B"),
            words(MailRepository.Kind.CANCELLED, "sold out"));
    assertThat(answers).allMatch(answer -> answer.line().equals(Optional.of(line)));
    assertThat(store.<Boolean>read(s -> s.mail().isKnown("answer-1"))).isTrue();
    assertThat(store.<Boolean>read(s -> s.mail().isKnown("answer-2"))).isFalse();
  }

  private static MailRepository.Facts words(MailRepository.Kind kind, String words) {
    return new MailRepository.Facts(
        kind, Optional.empty(), Optional.empty(), Optional.empty(), words);
  }

  @Test
  void whatCannotBeUsedIsKeptWithItsReasonTheLatestFirst() {
    store.change(
        s -> {
          s.mail().keepUnused(Optional.empty(), "answer-7", "no such order", "supplier", NOW);
          s.mail().keepUnused(Optional.of(order), "answer-8", "no such line", "supplier", NOW);
        });
    assertThat(store.<List<MailRepository.Answer>>read(s -> s.mail().unused(5)))
        .extracting(answer -> answer.said().words())
        .containsExactly("no such line", "no such order");
    assertThat(store.<List<MailRepository.Answer>>read(s -> s.mail().unused(1))).hasSize(1);
    assertThat(store.<List<MailRepository.Answer>>read(s -> s.mail().of(order))).hasSize(1);
  }
}

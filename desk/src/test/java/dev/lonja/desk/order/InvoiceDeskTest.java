package dev.lonja.desk.order;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.mockito.Mockito.mock;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.MovementKind;
import dev.lonja.core.order.Invoice;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.order.OrderLineId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.supplier.SupplierId;
import dev.lonja.desk.Cage;
import dev.lonja.desk.ledger.LedgerRefusal;
import dev.lonja.desk.ledger.Receiving;
import dev.lonja.desk.person.Pins;
import dev.lonja.desk.person.SecondPerson;
import dev.lonja.desk.person.Secrets;
import dev.lonja.desk.person.Tries;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.ledger.LedgerLine;
import dev.lonja.store.ledger.Posting;
import dev.lonja.store.order.InvoiceRepository;
import dev.lonja.store.request.RequestLog;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/** Item 8 of the example store, of which five lie there; six more come for 18.90 each, 113.40. */
class InvoiceDeskTest {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final SupplierId VELDMARK = new SupplierId(2);
  private static final ItemId FILTER = new ItemId(8);
  private static final LocalDate DATED = LocalDate.parse("2027-03-12");

  @RegisterExtension private final Cage cage = new Cage();
  private InvoiceDesk desk;
  private OrderId order;

  @BeforeEach
  void sixCame() {
    Pins pins = new Pins(new Secrets(new BCryptPasswordEncoder(4)), new Tries(cage.clock()));
    DraftDesk drafts =
        new DraftDesk(
            cage.clock(),
            cage.once(),
            new SecondPerson(pins, cage.clock()),
            mock(SupplierGateway.class));
    desk = new InvoiceDesk(cage.store(), cage.clock(), cage.once());
    Outcome ordered =
        drafts.order(
            cage.sent(), VELDMARK, List.of(new DraftDesk.Wish(FILTER, BigDecimal.valueOf(6))));
    order = OrderId.valueOf(((Outcome.Done) ordered).answer());
    long version = cage.<Long>read(session -> session.orders().byId(order).orElseThrow().version());
    assertThat(drafts.send(cage.sent(), order, version, SecondPerson.Signature.NONE))
        .isInstanceOf(Outcome.Done.class);
    OrderLineId line =
        cage.<OrderLineId>read(
            session -> session.orders().byId(order).orElseThrow().lines().get(0).id());
    DoorDesk door = new DoorDesk(cage.store(), cage.clock(), cage.once());
    Receiving.Receipt receipt =
        new Receiving.Receipt(
            BigDecimal.valueOf(6),
            "N-7",
            "K-01",
            Optional.empty(),
            new BigDecimal("113.40"),
            "DN 7",
            Optional.empty(),
            Receiving.Answers.NONE);
    assertThat(
            door.receive(
                cage.sent(),
                order,
                line,
                new DoorDesk.Came(BigDecimal.ZERO, receipt, false, List.of(), Optional.empty())))
        .isInstanceOf(Outcome.Done.class);
  }

  private List<InvoiceRepository.Delivered> delivered() {
    return desk.sheet(order).orElseThrow().delivered();
  }

  private long movement() {
    return delivered().get(0).movementId();
  }

  private Outcome enter(String number, String charged, String freight) {
    return enter(number, DATED, Map.of(movement(), new BigDecimal(charged)), freight);
  }

  private Outcome enter(
      String number, LocalDate dated, Map<Long, BigDecimal> charged, String freight) {
    return desk.enter(
        cage.sent(), order, new InvoiceDesk.Entry(number, dated, charged, new BigDecimal(freight)));
  }

  private Money worth() {
    return cage.<ItemStock>read(session -> session.ledger().stockOf(FILTER)).value();
  }

  private List<LedgerLine> revalued() {
    return cage.<List<LedgerLine>>read(session -> session.ledger().latest(FILTER, 20)).stream()
        .filter(line -> line.kind() == MovementKind.REVALUED)
        .toList();
  }

  private boolean isSound() {
    return cage.<Boolean>read(session -> session.verification().findings().isEmpty());
  }

  /** 120.00 charged and 4.00 of freight for what was booked at 113.40: 10.60 more. */
  @Test
  void theDifferenceGoesOntoWhatIsOnHand() {
    Money before = worth();
    assertThat(enter("V-118", "120.00", "4")).isInstanceOf(Outcome.Done.class);
    assertThat(worth().minus(before)).isEqualTo(new Money(1060, EUR));
    assertThat(revalued())
        .extracting(line -> line.value().minor(), line -> line.cause().reason())
        .containsExactly(tuple(1060L, "invoice V-118"));
    assertThat(delivered().get(0).worth()).isEqualTo(new Money(12_400, EUR));
    assertThat(delivered().get(0).isInvoiced()).isTrue();
    Invoice kept = desk.sheet(order).orElseThrow().invoices().get(0);
    assertThat(kept.facts().total()).isEqualTo(new Money(12_400, EUR));
    assertThat(isSound()).isTrue();
  }

  /** Takes so many off the shelf, the five that lay there before first. */
  private void issue(int pieces, String reference) {
    cage.write(
        session -> {
          ItemStock stock = session.ledger().stockOf(FILTER);
          Booking booking =
              Ledger.issue(
                  stock, Quantity.pieces(pieces), Quantity.pieces(0), cage.clock().today());
          Sent sent = cage.sent();
          session
              .requests()
              .add(
                  sent.key(),
                  new RequestLog.Entry("x", ""),
                  sent.actor(),
                  RequestLog.Times.at(cage.clock().now()));
          session
              .ledger()
              .append(
                  ((Booking.Booked) booking).lines(),
                  new Posting("", reference, sent.key(), sent.actor(), cage.clock().now()),
                  1);
        });
  }

  /** Two of the six go to a job first: they bear a third of 6.60 under the job's own reference. */
  @Test
  void theJobThatUsedSomeBearsItsShare() {
    issue(7, "T-0099");
    Money before = worth();
    assertThat(enter("V-118", "120.00", "0")).isInstanceOf(Outcome.Done.class);
    assertThat(worth().minus(before)).isEqualTo(new Money(440, EUR));
    assertThat(revalued())
        .extracting(line -> line.value().minor(), line -> line.cause().reference())
        .containsExactly(tuple(-220L, "T-0099"), tuple(660L, "order " + order));
    assertThat(isSound()).isTrue();
  }

  /** A carrier's bill charges no line; it may come before the invoice or after it. */
  @Test
  void freightMayComeAlone() {
    Money before = worth();
    assertThat(enter("C-9", DATED, Map.of(), "12.00")).isInstanceOf(Outcome.Done.class);
    assertThat(worth().minus(before)).isEqualTo(new Money(1200, EUR));
    assertThat(delivered().get(0).isInvoiced()).isFalse();
    // the goods as they were booked: the freight stays on top of them
    assertThat(enter("V-118", "113.40", "0")).isInstanceOf(Outcome.Done.class);
    assertThat(worth().minus(before)).isEqualTo(new Money(1200, EUR));
    assertThat(delivered().get(0).worth()).isEqualTo(new Money(12_540, EUR));
  }

  /** As it was charged it was booked: the invoice is kept, and nothing is revalued. */
  @Test
  void anInvoiceThatAgreesIsKept() {
    assertThat(enter("V-118", "113.40", "0")).isInstanceOf(Outcome.Done.class);
    assertThat(revalued()).isEmpty();
    assertThat(desk.sheet(order).orElseThrow().invoices()).hasSize(1);
  }

  /** Withdrawn, everything is as before, and its number may be entered again. */
  @Test
  void aWrongInvoiceIsWithdrawn() {
    Money before = worth();
    enter("V-118", "1200.00", "4");
    Invoice wrong = desk.sheet(order).orElseThrow().invoices().get(0);
    assertThat(desk.withdraw(cage.sent(), order, wrong.id(), "typed wrongly"))
        .isInstanceOf(Outcome.Done.class);
    assertThat(worth()).isEqualTo(before);
    assertThat(delivered().get(0).isInvoiced()).isFalse();
    assertThat(Cage.reasons(desk.withdraw(cage.sent(), order, wrong.id(), "again")))
        .isEqualTo(List.of(new OrderRefusal.NoSuchInvoice()));
    assertThat(enter("V-118", "120.00", "4")).isInstanceOf(Outcome.Done.class);
    assertThat(isSound()).isTrue();
  }

  @Test
  void whatCannotBeIsRefused() {
    assertThat(Cage.reasons(enter("V-1", DATED, Map.of(), "0")))
        .isEqualTo(List.of(new OrderRefusal.NothingCharged()));
    LocalDate tomorrow = cage.clock().today().plusDays(1);
    assertThat(Cage.reasons(enter("V-1", tomorrow, Map.of(), "5")))
        .isEqualTo(List.of(new OrderRefusal.DatedAhead(tomorrow, cage.clock().today())));
    assertThat(Cage.reasons(enter("V-1", DATED, Map.of(4711L, BigDecimal.ONE), "0")))
        .isEqualTo(List.of(new OrderRefusal.ChangedMeanwhile()));
    enter("V-118", "120.00", "0");
    assertThat(Cage.reasons(enter("v-118", DATED, Map.of(), "5")))
        .isEqualTo(List.of(new OrderRefusal.InvoicedBefore("v-118", order)));
    // charged by the one before
    assertThat(Cage.reasons(enter("V-119", "120.00", "0")))
        .isEqualTo(List.of(new OrderRefusal.ChangedMeanwhile()));
    assertThat(Cage.reasons(enter("V-120", DATED, Map.of(), "9999999")))
        .singleElement()
        .isInstanceOf(LedgerRefusal.class);
    assertThat(desk.sheet(order).orElseThrow().invoices()).hasSize(1);
  }
}

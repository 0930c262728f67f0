package dev.lonja.desk.order;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.Refusal.NotCountable;
import dev.lonja.core.order.Claim;
import dev.lonja.core.order.Order;
import dev.lonja.core.order.OrderAmount;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.order.OrderLine;
import dev.lonja.core.order.OrderState;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.supplier.SupplierId;
import dev.lonja.desk.Cage;
import dev.lonja.desk.ledger.LedgerRefusal;
import dev.lonja.desk.ledger.Receiving;
import dev.lonja.desk.ledger.StockRefusal;
import dev.lonja.desk.person.Pins;
import dev.lonja.desk.person.SecondPerson;
import dev.lonja.desk.person.SecondRefusal;
import dev.lonja.desk.person.Secrets;
import dev.lonja.desk.person.Tries;
import dev.lonja.desk.request.Outcome;
import dev.lonja.store.ledger.LedgerLine;
import dev.lonja.store.ledger.Posting;
import dev.lonja.store.order.ClaimRepository;
import dev.lonja.store.order.OrderRepository;
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

/**
 * Orders of the example store. Supplier 1, nine days away, sells item 9 in twos at 14.10; supplier
 * 2, 25 days away, item 8 at 18.90, of which five lie in K-01.
 */
class OrderDesksTest {

  private static final SupplierId CABO = new SupplierId(1);
  private static final SupplierId VELDMARK = new SupplierId(2);
  private static final ItemId FILTER = new ItemId(8);
  private static final ItemId IN_TWOS = new ItemId(9);
  private static final LocalDate DAY_24 = LocalDate.parse("2027-03-24");

  @RegisterExtension private final Cage cage = new Cage();
  private final SupplierGateway gateway = mock(SupplierGateway.class);
  private DraftDesk drafts;
  private FollowUpDesk followUp;
  private DoorDesk door;

  @BeforeEach
  void open() {
    Secrets secrets = new Secrets(new BCryptPasswordEncoder(4));
    SecondPerson second =
        new SecondPerson(new Pins(secrets, new Tries(cage.clock())), cage.clock());
    SupplierMail mail = new SupplierMail(cage.store(), cage.clock(), gateway);
    drafts = new DraftDesk(cage.clock(), cage.once(), second, gateway);
    followUp = new FollowUpDesk(cage.clock(), cage.once(), mail);
    door = new DoorDesk(cage.store(), cage.clock(), cage.once());
  }

  private static BigDecimal amount(String text) {
    return new BigDecimal(text);
  }

  private static OrderId made(Outcome outcome) {
    assertThat(outcome).isInstanceOf(Outcome.Done.class);
    return OrderId.valueOf(((Outcome.Done) outcome).answer());
  }

  private OrderId draft(SupplierId supplier, ItemId item, String amount) {
    return made(
        drafts.order(cage.sent(), supplier, List.of(new DraftDesk.Wish(item, amount(amount)))));
  }

  private Order order(OrderId id) {
    return cage.<Optional<Order>>read(session -> session.orders().byId(id)).orElseThrow();
  }

  private OrderLine line(OrderId id) {
    return order(id).lines().get(0);
  }

  private Outcome send(OrderId id) {
    return drafts.send(cage.sent(), id, order(id).version(), SecondPerson.Signature.NONE);
  }

  private OrderId sent(SupplierId supplier, ItemId item, String amount) {
    OrderId id = draft(supplier, item, amount);
    assertThat(send(id)).isInstanceOf(Outcome.Done.class);
    return id;
  }

  @Test
  void wishesOfOneSupplierStandOnOneDraft() {
    OrderId id = draft(VELDMARK, FILTER, "4");
    assertThat(draft(VELDMARK, FILTER, "6")).isEqualTo(id);
    assertThat(order(id).lines())
        .extracting(OrderLine::ordered, OrderLine::theirNumber)
        .containsExactly(tuple(Quantity.pieces(6), "22-1010"));
    assertThat(draft(CABO, IN_TWOS, "4")).isNotEqualTo(id);
  }

  @Test
  void aWishInPartsOfAPackOrBelowTheLeastOrOfOthersIsRefusedWhole() {
    List<DraftDesk.Wish> wishes =
        List.of(
            new DraftDesk.Wish(IN_TWOS, amount("3")),
            new DraftDesk.Wish(IN_TWOS, amount("1")),
            new DraftDesk.Wish(FILTER, amount("2")));
    assertThat(Cage.reasons(drafts.order(cage.sent(), CABO, wishes)))
        .extracting(Object::getClass)
        .containsExactly(
            OrderRefusal.WrongAmount.class,
            OrderRefusal.WrongAmount.class,
            OrderRefusal.NotSold.class);
    assertThat(
            ((OrderRefusal.WrongAmount)
                    Cage.reasons(drafts.order(cage.sent(), CABO, wishes)).get(0))
                .problem())
        .isEqualTo(
            new OrderAmount.NotInPacks(
                Quantity.pieces(2), Optional.of(Quantity.pieces(2)), Quantity.pieces(4)));
    assertThat(cage.<List<Order>>read(session -> session.orders().open())).isEmpty();
  }

  @Test
  void ofNothingNoOrderIsMade() {
    List<DraftDesk.Wish> none = List.of(new DraftDesk.Wish(IN_TWOS, BigDecimal.ZERO));
    assertThat(Cage.reasons(drafts.order(cage.sent(), CABO, none)))
        .isEqualTo(List.of(new OrderRefusal.NothingToOrder()));
  }

  @Test
  void aDraftIsChangedAndThrownAway() {
    OrderId id = draft(VELDMARK, FILTER, "4");
    drafts.change(cage.sent(), id, line(id).id(), amount("7"));
    assertThat(line(id).ordered()).isEqualTo(Quantity.pieces(7));
    drafts.change(cage.sent(), id, line(id).id(), BigDecimal.ZERO);
    assertThat(order(id).lines()).isEmpty();
    assertThat(Cage.reasons(send(id))).isEqualTo(List.of(new OrderRefusal.NothingToOrder()));
    drafts.drop(cage.sent(), id);
    assertThat(Cage.reasons(drafts.drop(cage.sent(), id)))
        .isEqualTo(List.of(new OrderRefusal.NoSuchOrder(id)));
  }

  /** 15 March and nine days; it waits in the outbox, since the supplier's system is reached. */
  @Test
  void whatIsSentIsPromisedForTheQuotedDayAndGoesOut() {
    when(gateway.reaches("Cabo Norte Supply")).thenReturn(true);
    OrderId id = sent(CABO, IN_TWOS, "4");
    assertThat(order(id).state()).isEqualTo(OrderState.SENT);
    assertThat(line(id).fate().promisedOn()).contains(DAY_24);
    assertThat(cage.<Boolean>read(session -> session.mail().waits(id))).isTrue();
    assertThat(Cage.reasons(drafts.drop(cage.sent(), id)))
        .isEqualTo(List.of(new OrderRefusal.NotNow(OrderState.SENT)));
  }

  /** Who looked at four may not send six unseen. */
  @Test
  void aDraftThatSomebodyChangedIsNotSentUnseen() {
    OrderId id = draft(VELDMARK, FILTER, "4");
    long seen = order(id).version();
    drafts.change(cage.sent(), id, line(id).id(), amount("6"));
    assertThat(Cage.reasons(drafts.send(cage.sent(), id, seen, SecondPerson.Signature.NONE)))
        .isEqualTo(List.of(new OrderRefusal.ChangedMeanwhile()));
    assertThat(order(id).state()).isEqualTo(OrderState.DRAFT);
  }

  /** Four at 18.90 are 75.60; one person alone decides up to 75. */
  @Test
  void aDearOrderNeedsASecondPerson() {
    cage.write(
        session ->
            session
                .settings()
                .setMostAlone(Optional.of(new Money(7_500, Currency.getInstance("EUR")))));
    OrderId id = draft(VELDMARK, FILTER, "4");
    assertThat(Cage.reasons(send(id)))
        .singleElement()
        .isInstanceOf(SecondRefusal.NeedsSecond.class);
    assertThat(order(id).state()).isEqualTo(OrderState.DRAFT);
    drafts.change(cage.sent(), id, line(id).id(), amount("3"));
    assertThat(send(id)).isInstanceOf(Outcome.Done.class);
  }

  private static Receiving.Receipt receipt(String good, String lot) {
    return new Receiving.Receipt(
        amount(good),
        lot,
        "K-01",
        Optional.empty(),
        amount("18.90").multiply(amount(good)),
        "LN 20711",
        Optional.empty(),
        Receiving.Answers.NONE);
  }

  private Outcome receive(OrderId id, String good, String damaged, DoorDesk.Wrong... wrong) {
    return door.receive(
        cage.sent(),
        id,
        line(id).id(),
        new DoorDesk.Came(
            amount(damaged), receipt(good, "N-7"), false, List.of(wrong), Optional.empty()));
  }

  @Test
  void whatComesInPartsClosesTheOrderInTheEnd() {
    OrderId id = sent(VELDMARK, FILTER, "6");
    assertThat(receive(id, "4", "0")).isInstanceOf(Outcome.Done.class);
    assertThat(order(id).state()).isEqualTo(OrderState.PART_RECEIVED);
    assertThat(line(id).outstanding()).isEqualTo(Quantity.pieces(2));
    assertThat(cage.onHand(8)).isEqualTo(Quantity.pieces(9));
    receive(id, "2", "0");
    assertThat(order(id).state()).isEqualTo(OrderState.CLOSED);
    assertThat(
            cage.<List<LedgerLine>>read(session -> session.ledger().latest(FILTER, 1))
                .get(0)
                .cause()
                .reference())
        .isEqualTo("order " + id);
  }

  /** Of six, four are good and two are dented: these are set aside and claimed. */
  @Test
  void whatIsDamagedIsSetAsideAndClaimed() {
    OrderId id = sent(VELDMARK, FILTER, "6");
    receive(id, "4", "2");
    assertThat(order(id).state()).isEqualTo(OrderState.CLOSED);
    assertThat(cage.<Quantity>read(s -> s.ledger().stockOf(FILTER).quarantined()))
        .isEqualTo(Quantity.pieces(2));
    assertThat(cage.<List<ClaimRepository.OfOrder>>read(session -> session.claims().open()))
        .extracting(of -> of.claim().kind(), of -> of.claim().quantity())
        .containsExactly(tuple(Claim.Kind.DAMAGED, Quantity.pieces(2)));
  }

  @Test
  void whatIsWrongIsClaimedAndNotBooked() {
    OrderId id = sent(VELDMARK, FILTER, "6");
    receive(id, "0", "0", new DoorDesk.Wrong(Claim.Kind.WRONG, amount("6"), "air filters"));
    assertThat(cage.onHand(8)).isEqualTo(Quantity.pieces(5));
    assertThat(line(id).outstanding()).isEqualTo(Quantity.pieces(6));
    ClaimRepository.OfOrder claim =
        cage.<List<ClaimRepository.OfOrder>>read(session -> session.claims().of(id)).get(0);
    followUp.settle(cage.sent(), claim.claim().id(), Claim.Outcome.SENT_BACK, "ferry of the 18th");
    assertThat(
            Cage.reasons(
                followUp.settle(cage.sent(), claim.claim().id(), Claim.Outcome.DROPPED, "")))
        .isEqualTo(List.of(new OrderRefusal.NoSuchClaim()));
  }

  @Test
  void moreThanOrderedIsAskedAbout() {
    OrderId id = sent(VELDMARK, FILTER, "6");
    assertThat(Cage.reasons(receive(id, "7", "0")))
        .isEqualTo(
            List.of(new OrderRefusal.MoreThanOrdered(Quantity.pieces(7), Quantity.pieces(6))));
    assertThat(cage.onHand(8)).isEqualTo(Quantity.pieces(5));
    door.receive(
        cage.sent(),
        id,
        line(id).id(),
        new DoorDesk.Came(BigDecimal.ZERO, receipt("7", "N-7"), true, List.of(), Optional.empty()));
    assertThat(cage.onHand(8)).isEqualTo(Quantity.pieces(12));
    assertThat(order(id).state()).isEqualTo(OrderState.CLOSED);
  }

  /** What cannot be booked leaves nothing half done: the good ones are not there either. */
  @Test
  void aDeliveryIsTakenInWholeOrNotAtAll() {
    OrderId id = sent(VELDMARK, FILTER, "6");
    assertThat(Cage.reasons(receive(id, "3", "0.5")))
        .singleElement()
        .isInstanceOfSatisfying(
            LedgerRefusal.class,
            refusal -> assertThat(refusal.reason()).isInstanceOf(NotCountable.class));
    assertThat(cage.onHand(8)).isEqualTo(Quantity.pieces(5));
    assertThat(Cage.reasons(receive(id, "0", "0")))
        .isEqualTo(List.of(new OrderRefusal.NothingCame()));
    assertThat(
            Cage.reasons(
                door.receive(
                    cage.sent(),
                    id,
                    line(id).id(),
                    new DoorDesk.Came(
                        BigDecimal.ZERO,
                        new Receiving.Receipt(
                            amount("6"),
                            "N-7",
                            "Q-99",
                            Optional.empty(),
                            amount("1"),
                            "",
                            Optional.empty(),
                            Receiving.Answers.NONE),
                        false,
                        List.of(),
                        Optional.empty()))))
        .isEqualTo(List.of(new StockRefusal.UnknownBin("Q-99")));
  }

  private Outcome receiveInstead(OrderId id, String code, boolean isKept) {
    return door.receive(
        cage.sent(),
        id,
        line(id).id(),
        new DoorDesk.Came(
            BigDecimal.ZERO,
            receipt("6", "N-8"),
            false,
            List.of(),
            Optional.of(new DoorDesk.Instead(code, isKept))));
  }

  /**
   * Item 9 is offered for item 8 by its maker, at 0.92. Somebody has to say that it is kept; then
   * it lies on the shelf as what it is, and the order waits for no more.
   */
  @Test
  void whatCameInPlaceOfWhatWasOrderedIsKeptOnceSomebodySaysSo() {
    OrderId id = sent(VELDMARK, FILTER, "6");
    Quantity before = cage.onHand(9);
    assertThat(Cage.reasons(receiveInstead(id, "PL 4122-M", false)))
        .singleElement()
        .isInstanceOfSatisfying(
            OrderRefusal.KeepInstead.class,
            asked -> {
              assertThat(asked.came().id()).isEqualTo(IN_TWOS);
              // both filters of the launch hang sideways
              assertThat(asked.standIn().places()).hasSizeGreaterThanOrEqualTo(2);
            });
    assertThat(cage.onHand(9)).isEqualTo(before);
    assertThat(receiveInstead(id, "PL 4122-M", true)).isInstanceOf(Outcome.Done.class);
    assertThat(cage.onHand(9)).isEqualTo(before.plus(Quantity.pieces(6)));
    assertThat(cage.onHand(8)).isEqualTo(Quantity.pieces(5));
    assertThat(order(id).state()).isEqualTo(OrderState.CLOSED);
    assertThat(cage.<List<OrderRepository.CameAs>>read(session -> session.orders().cameAs(id)))
        .containsExactly(new OrderRepository.CameAs(line(id).id(), IN_TWOS, Quantity.pieces(6)));
  }

  /** Gloves are no filter, oil is not counted, and what nobody keeps cannot be taken in. */
  @Test
  void whatDoesNotGoThereIsNotKept() {
    OrderId id = sent(VELDMARK, FILTER, "6");
    assertThat(Cage.reasons(receiveInstead(id, "GLV M", true)))
        .singleElement()
        .isInstanceOf(OrderRefusal.DoesNotFit.class);
    assertThat(Cage.reasons(receiveInstead(id, "OL 1540-20", true)))
        .singleElement()
        .isInstanceOf(OrderRefusal.OtherMeasure.class);
    assertThat(Cage.reasons(receiveInstead(id, "XX 1", true)))
        .isEqualTo(List.of(new OrderRefusal.NotOneItem("XX 1", 0)));
    DoorDesk.Wrong wrong = new DoorDesk.Wrong(Claim.Kind.WRONG, amount("6"), "gloves");
    Outcome claimed =
        door.receive(
            cage.sent(),
            id,
            line(id).id(),
            new DoorDesk.Came(
                BigDecimal.ZERO,
                receipt("0", "N-8"),
                false,
                List.of(wrong),
                Optional.of(new DoorDesk.Instead("GLV M", false))));
    assertThat(claimed).isInstanceOf(Outcome.Done.class);
    assertThat(receiveInstead(id, "VM 22-1010", false)).isInstanceOf(Outcome.Done.class);
    assertThat(cage.onHand(8)).isEqualTo(Quantity.pieces(11));
  }

  /** Once the receipt is corrected the pieces are awaited again. */
  @Test
  void aCorrectedReceiptCountsForNothing() {
    OrderId id = sent(VELDMARK, FILTER, "6");
    receive(id, "6", "0");
    assertThat(order(id).state()).isEqualTo(OrderState.CLOSED);
    LedgerLine receipt =
        cage.<List<LedgerLine>>read(session -> session.ledger().latest(FILTER, 1)).get(0);
    cage.write(
        session -> {
          var stock = session.ledger().stockOf(FILTER);
          var booking = Ledger.correct(stock, session.pastMovements().undoneTogether(receipt.id()));
          var sent = cage.sent();
          session
              .requests()
              .add(
                  sent.key(),
                  new RequestLog.Entry("x", ""),
                  "storekeeper",
                  RequestLog.Times.at(cage.clock().now()));
          session
              .ledger()
              .append(
                  ((Booking.Booked) booking).lines(),
                  new Posting("wrong order", "", sent.key(), "storekeeper", cage.clock().now()),
                  1);
        });
    assertThat(order(id).state()).isEqualTo(OrderState.SENT);
    assertThat(line(id).outstanding()).isEqualTo(Quantity.pieces(6));
    // nor is a lead time learned from it
    assertThat(cage.<Map<?, ?>>read(session -> session.orders().leadDays())).isEmpty();
  }

  @Test
  void whatTheySaidByTelephoneHolds() {
    OrderId id = sent(VELDMARK, FILTER, "6");
    LocalDate later = LocalDate.parse("2027-04-20");
    assertThat(
            Cage.reasons(
                followUp.promise(
                    cage.sent(), id, line(id).id(), Cage.TODAY.minusDays(1), Optional.empty())))
        .isEqualTo(List.of(new OrderRefusal.PromisedInPast(Cage.TODAY.minusDays(1), Cage.TODAY)));
    followUp.promise(cage.sent(), id, line(id).id(), later, Optional.of(amount("20")));
    assertThat(line(id).fate().promisedOn()).contains(later);
    assertThat(order(id).state()).isEqualTo(OrderState.CONFIRMED);
    assertThat(line(id).cost().exactText()).isEqualTo("120.00");
  }

  @Test
  void nobodyWaitsForWhatIsGivenUp() {
    OrderId id = sent(VELDMARK, FILTER, "6");
    assertThat(
            Cage.reasons(followUp.giveUp(cage.sent(), id, line(id).id(), amount("7"), "sold out")))
        .isEqualTo(
            List.of(new OrderRefusal.MoreThanToCome(Quantity.pieces(7), Quantity.pieces(6))));
    assertThat(
            Cage.reasons(
                followUp.giveUp(cage.sent(), id, line(id).id(), amount("0.5"), "sold out")))
        .singleElement()
        .isInstanceOf(OrderRefusal.NotCountable.class);
    followUp.giveUp(cage.sent(), id, line(id).id(), amount("2"), "sold out");
    assertThat(line(id).outstanding()).isEqualTo(Quantity.pieces(4));
    followUp.cancel(cage.sent(), id, "they closed");
    assertThat(order(id).state()).isEqualTo(OrderState.CANCELLED);
    assertThat(Cage.reasons(followUp.cancel(cage.sent(), id, "again")))
        .isEqualTo(List.of(new OrderRefusal.NotNow(OrderState.CANCELLED)));
  }

  /** A supplier, an item and days from sending to the door: 25 are quoted, none were needed. */
  @Test
  void leadTimesAreLearnedFromWhatCame() {
    OrderId id = sent(VELDMARK, FILTER, "6");
    receive(id, "2", "0");
    receive(id, "4", "0");
    assertThat(cage.<Object>read(session -> session.orders().leadDays()))
        .isEqualTo(Map.of(new OrderRepository.Source(VELDMARK, FILTER), List.of(0)));
  }

  @Test
  void whatIsScannedLeadsToTheLineThatAwaitsIt() {
    OrderId id = sent(VELDMARK, FILTER, "6");
    String number = line(id).item().number();
    assertThat(door.awaited(List.of(number)))
        .extracting(awaited -> awaited.line().id())
        .containsExactly(line(id).id());
    assertThat(door.awaited(List.of("nobody knows it"))).isEmpty();
  }
}

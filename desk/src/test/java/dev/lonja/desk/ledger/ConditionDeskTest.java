package dev.lonja.desk.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.MovementKind;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.place.BinId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.Cage;
import dev.lonja.desk.person.Pins;
import dev.lonja.desk.person.SecondPerson;
import dev.lonja.desk.person.Secrets;
import dev.lonja.desk.person.Tries;
import dev.lonja.desk.request.Outcome;
import dev.lonja.store.ledger.LedgerLine;
import java.math.BigDecimal;
import java.util.Currency;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/** Item 35 is a spark plug, in lot 34 in bin 10 (L-04); item 8 is an oil filter, lot 8 in bin 1. */
class ConditionDeskTest {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final ItemId PLUG = new ItemId(35);
  private static final ItemId FILTER = new ItemId(8);
  private static final LotId NEW = new LotId(34);
  private static final BinId SHELF = new BinId(10);

  @RegisterExtension private final Cage cage = new Cage();
  private ConditionDesk desk;
  private StockDesk counter;

  @BeforeEach
  void open() {
    SecondPerson second =
        new SecondPerson(
            new Pins(new Secrets(new BCryptPasswordEncoder(4)), new Tries(cage.clock())),
            cage.clock());
    SignedPostings signed = new SignedPostings(second, cage.clock());
    desk = new ConditionDesk(cage.once(), cage.clock(), signed);
    counter = new StockDesk(cage.once(), cage.clock(), signed);
  }

  private ItemStock stock(LotCondition condition) {
    return cage.read(session -> session.ledger().stockOf(new StockKey(PLUG, condition)));
  }

  private Outcome keep(ItemId item, LotCondition condition, String pieces, String bin) {
    return desk.salvage(
        cage.sent(),
        item,
        new ConditionDesk.Kept(
            new BigDecimal(pieces), condition, bin, "CH-2", BigDecimal.ZERO, "only sooty"),
        SecondPerson.Signature.NONE);
  }

  private Outcome change(LotId lot, LotCondition to, String pieces, String cost) {
    return desk.change(
        cage.sent(),
        PLUG,
        new ConditionDesk.Change(
            lot, SHELF, new BigDecimal(pieces), to, new BigDecimal(cost), "looked at"),
        SecondPerson.Signature.NONE);
  }

  private LotId lotIn(LotCondition condition) {
    return stock(condition).lots().get(0).place().lotId();
  }

  /** Two sooty plugs are cleaned for 1.50: two used, good ones that are worth 0.75 each. */
  @Test
  void whatIsKeptIsWorkedOnAndIssued() {
    Quantity fresh = stock(LotCondition.NEW).onHand();
    assertThat(keep(PLUG, LotCondition.TO_RECONDITION, "2", "L-04"))
        .isInstanceOf(Outcome.Done.class);
    assertThat(stock(LotCondition.NEW).onHand()).isEqualTo(fresh);
    LotId dull = lotIn(LotCondition.TO_RECONDITION);
    StockKey used = new StockKey(PLUG, LotCondition.USED_GOOD);
    assertThat(counter.issue(cage.sent(), used, Place.MAIN, BigDecimal.ONE, "mower"))
        .isInstanceOf(Outcome.Refused.class);
    assertThat(change(dull, LotCondition.USED_GOOD, "2", "1.50")).isInstanceOf(Outcome.Done.class);
    assertThat(stock(LotCondition.TO_RECONDITION).onHand()).isEqualTo(Quantity.pieces(0));
    assertThat(stock(LotCondition.USED_GOOD).value()).isEqualTo(new Money(150, EUR));
    assertThat(counter.issue(cage.sent(), used, Place.MAIN, BigDecimal.ONE, "mower"))
        .isInstanceOf(Outcome.Done.class);
    assertThat(stock(LotCondition.USED_GOOD).value()).isEqualTo(new Money(75, EUR));
    assertThat(stock(LotCondition.NEW).onHand()).isEqualTo(fresh);
  }

  /** A new one that was dropped takes its worth along; undone, it is new again. */
  @Test
  void aNewOneFoundDamagedTakesItsWorthAlongAndBack() {
    ItemStock before = stock(LotCondition.NEW);
    assertThat(change(NEW, LotCondition.TO_RECONDITION, "1", "0")).isInstanceOf(Outcome.Done.class);
    Money left = stock(LotCondition.NEW).value();
    assertThat(stock(LotCondition.TO_RECONDITION).value().plus(left)).isEqualTo(before.value());
    List<LedgerLine> lines = cage.read(session -> session.ledger().latest(PLUG, 2));
    assertThat(lines).extracting(LedgerLine::kind).containsOnly(MovementKind.REGRADED);
    Outcome undone =
        counter.correct(
            cage.sent(), PLUG, lines.get(0).id(), "it is sound", SecondPerson.Signature.NONE);
    assertThat(undone).isInstanceOf(Outcome.Done.class);
    assertThat(stock(LotCondition.NEW).value()).isEqualTo(before.value());
    assertThat(stock(LotCondition.TO_RECONDITION).onHand()).isEqualTo(Quantity.pieces(0));
  }

  @Test
  void whatIsRefused() {
    assertThat(Cage.reasons(keep(FILTER, LotCondition.USED_GOOD, "1", "Q-99")))
        .hasSize(2)
        .hasAtLeastOneElementOfType(StockRefusal.IsWaste.class)
        .contains(new StockRefusal.UnknownBin("Q-99"));
    assertThat(Cage.reasons(keep(PLUG, LotCondition.USED_GOOD, "0", "L-04")))
        .hasOnlyElementsOfType(LedgerRefusal.class);
    assertThat(Cage.reasons(change(NEW, LotCondition.NEW, "1", "0")))
        .containsExactly(new StockRefusal.IsNeverNew());
    assertThat(Cage.reasons(change(new LotId(99), LotCondition.USED_GOOD, "1", "0")))
        .containsExactly(new StockRefusal.NoSuchPlace(new LotId(99), SHELF));
    keep(PLUG, LotCondition.USED_GOOD, "1", "L-04");
    assertThat(
            Cage.reasons(change(lotIn(LotCondition.USED_GOOD), LotCondition.USED_GOOD, "1", "0")))
        .containsExactly(new StockRefusal.IsInCondition(LotCondition.USED_GOOD));
    assertThat(
            Cage.reasons(
                change(lotIn(LotCondition.USED_GOOD), LotCondition.TO_RECONDITION, "2", "0")))
        .hasOnlyElementsOfType(LedgerRefusal.class);
  }

  /** The same request again changes nothing and says the same. */
  @Test
  void twiceIsOnce() {
    var sent = cage.sent();
    ConditionDesk.Kept plug =
        new ConditionDesk.Kept(
            BigDecimal.ONE, LotCondition.USED_GOOD, "L-04", "CH-2", BigDecimal.ZERO, "spare");
    desk.salvage(sent, PLUG, plug, SecondPerson.Signature.NONE);
    assertThat(desk.salvage(sent, PLUG, plug, SecondPerson.Signature.NONE))
        .isInstanceOf(Outcome.Done.class);
    assertThat(stock(LotCondition.USED_GOOD).onHand()).isEqualTo(Quantity.pieces(1));
  }
}

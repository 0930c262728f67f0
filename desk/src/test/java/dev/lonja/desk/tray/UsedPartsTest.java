package dev.lonja.desk.tray;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.LotInBin;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.core.tray.TrayPurpose;
import dev.lonja.desk.Cage;
import dev.lonja.desk.ledger.Postings;
import dev.lonja.desk.person.Pins;
import dev.lonja.desk.person.Receiver;
import dev.lonja.desk.person.SecondPerson;
import dev.lonja.desk.person.Secrets;
import dev.lonja.desk.person.Tries;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.ledger.Posting;
import dev.lonja.store.tray.Tray;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/** A tray asks for four spark plugs, item 35; two used, good ones lie beside the new ones. */
class UsedPartsTest {

  private static final ItemId PLUG = new ItemId(35);
  private static final StockKey USED = new StockKey(PLUG, LotCondition.USED_GOOD);

  @RegisterExtension private final Cage cage = new Cage();
  private TrayDesk desk;
  private HandOverDesk handOvers;
  private TrayId tray;

  @BeforeEach
  void open() {
    Pins pins = new Pins(new Secrets(new BCryptPasswordEncoder(4)), new Tries(cage.clock()));
    Receiver receiver = new Receiver(pins);
    SecondPerson second = new SecondPerson(pins, cage.clock());
    desk = new TrayDesk(cage.once(), cage.clock(), receiver);
    handOvers = new HandOverDesk(cage.store(), cage.once(), cage.clock(), receiver, second);
    cage.once()
        .run(
            cage.sent(),
            session -> {
              tray =
                  session
                      .trays()
                      .add(
                          Optional.of(new UnitId(1)),
                          TrayPurpose.BREAKDOWN,
                          "misfires",
                          Cage.TODAY);
              session
                  .trayLines()
                  .addLine(
                      tray,
                      PLUG,
                      "Spark plugs",
                      new LineReason.Part(""),
                      Quantity.pieces(4),
                      Destination.position(new PositionId(22)));
              return Outcome.done();
            });
    salvage(2);
  }

  private void salvage(int pieces) {
    Sent sent = cage.sent();
    cage.once()
        .run(
            sent,
            session -> {
              LotInBin place =
                  new LotInBin(
                      PLUG,
                      session.lots().salvaged(PLUG, "CH-2", Cage.TODAY, LotCondition.USED_GOOD),
                      new BinId(10));
              return Postings.write(
                  session,
                  PLUG,
                  Ledger.salvage(
                      session.ledger().stockOf(USED),
                      place,
                      Quantity.pieces(pieces),
                      Money.zero(session.settings().currency())),
                  new Posting("kept", "", sent.key(), sent.actor(), cage.clock().now()),
                  1);
            });
  }

  private List<TrayLine> lines() {
    return cage.<Tray>read(session -> session.trays().byId(tray).orElseThrow()).lines();
  }

  private Quantity free(StockKey key) {
    return cage.read(
        session -> session.ledger().freeStock(Cage.TODAY).getOrDefault(key, Quantity.pieces(0)));
  }

  private Quantity onHand(LotCondition condition) {
    return cage.read(session -> session.ledger().stockOf(new StockKey(PLUG, condition)).onHand());
  }

  /** Two of four are laid used on a line of their own; the other two are still asked for new. */
  @Test
  void usedOnesAreALineOfTheirOwn() {
    long line = lines().get(0).id();
    assertThat(desk.layUsed(cage.sent(), tray, line)).isInstanceOf(Outcome.Done.class);
    assertThat(lines()).extracting(TrayLine::wanted).containsOnly(Quantity.pieces(2)).hasSize(2);
    TrayLine used = lines().get(1);
    assertThat(used.stock()).isEqualTo(USED);
    assertThat(used.isLaid()).isTrue();
    assertThat(used.place()).isEqualTo("Spark plugs");
    assertThat(lines().get(0).laid()).isEqualTo(Quantity.pieces(0));
    assertThat(free(USED)).isEqualTo(Quantity.pieces(0));
    // there are no more of them
    assertThat(Cage.reasons(desk.layUsed(cage.sent(), tray, line)))
        .hasOnlyElementsOfType(TrayRefusal.NoUsed.class);
    // taken off, the line asks for new ones again
    desk.takeOff(cage.sent(), tray, used.id());
    assertThat(lines()).extracting(TrayLine::stock).containsOnly(StockKey.ofNew(PLUG));
    assertThat(free(USED)).isEqualTo(Quantity.pieces(2));
  }

  /** What is laid new stays new: of one laid and three missing two are laid used. */
  @Test
  void whatIsLaidNewStays() {
    long line = lines().get(0).id();
    desk.scan(cage.sent(), tray, "OS Z09");
    desk.layUsed(cage.sent(), tray, line);
    assertThat(lines().get(0).wanted()).isEqualTo(Quantity.pieces(2));
    assertThat(lines().get(0).laid()).isEqualTo(Quantity.pieces(1));
    assertThat(lines().get(1).laid()).isEqualTo(Quantity.pieces(2));
  }

  /** Where all are used, the line itself takes used ones. */
  @Test
  void aWholeLineOfUsedOnes() {
    salvage(2);
    desk.layUsed(cage.sent(), tray, lines().get(0).id());
    assertThat(lines()).hasSize(1);
    assertThat(lines().get(0).stock()).isEqualTo(USED);
    assertThat(lines().get(0).isLaid()).isTrue();
  }

  /** Two new and two used go out; scanned back, one has to say which; each goes back to its own. */
  @Test
  void eachGoesOutAndComesBackInItsOwnCondition() {
    Quantity fresh = onHand(LotCondition.NEW);
    long line = lines().get(0).id();
    desk.layUsed(cage.sent(), tray, line);
    desk.lay(cage.sent(), tray, line);
    Tray now = cage.read(session -> session.trays().byId(tray).orElseThrow());
    assertThat(
            handOvers.handOver(
                cage.sent(), tray, now.version(), new HandOverDesk.Taker("workshop", ""), Map.of()))
        .isInstanceOf(Outcome.Done.class);
    assertThat(onHand(LotCondition.NEW)).isEqualTo(fresh.minus(Quantity.pieces(2)));
    assertThat(onHand(LotCondition.USED_GOOD)).isEqualTo(Quantity.pieces(0));
    assertThat(Cage.reasons(handOvers.scanBack(cage.sent(), tray, "OS Z09")))
        .hasOnlyElementsOfType(TrayRefusal.NewOrUsed.class);
    handOvers.takeBack(cage.sent(), tray, USED, BigDecimal.ONE, Optional.empty());
    assertThat(onHand(LotCondition.USED_GOOD)).isEqualTo(Quantity.pieces(1));
    handOvers.takeBack(cage.sent(), tray, USED, BigDecimal.ONE, Optional.empty());
    // only new ones are out now
    assertThat(handOvers.scanBack(cage.sent(), tray, "OS Z09")).isInstanceOf(Outcome.Done.class);
    assertThat(onHand(LotCondition.NEW)).isEqualTo(fresh.minus(Quantity.pieces(1)));
  }
}

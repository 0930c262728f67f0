package dev.lonja.desk.tray;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.LotInBin;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.TrayId;
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
import dev.lonja.store.ledger.LotFacts;
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

/** Gear oil in cans of 5 L, item 5: three sealed ones of lot QL-77 are all there is. */
class ContainersBackTest {

  private static final ItemId OIL = new ItemId(5);
  private static final StockKey NEW = StockKey.ofNew(OIL);

  @RegisterExtension private final Cage cage = new Cage();
  private TrayDesk desk;
  private HandOverDesk handOvers;

  @BeforeEach
  void threeCans() {
    Pins pins = new Pins(new Secrets(new BCryptPasswordEncoder(4)), new Tries(cage.clock()));
    Receiver receiver = new Receiver(pins);
    desk = new TrayDesk(cage.once(), cage.clock(), receiver);
    handOvers =
        new HandOverDesk(
            cage.store(),
            cage.once(),
            cage.clock(),
            receiver,
            new SecondPerson(pins, cage.clock()));
    Sent sent = cage.sent();
    cage.once()
        .run(
            sent,
            session -> {
              Posting posting = new Posting("", "", sent.key(), sent.actor(), cage.clock().now());
              int line = 1;
              for (LotFacts old : session.ledger().lotsOf(OIL)) {
                Postings.write(
                    session,
                    OIL,
                    Ledger.scrap(
                        session.ledger().stockOf(OIL), old.lot().place(), old.lot().quantity()),
                    posting,
                    line++);
              }
              LotId lot = session.lots().addLot(OIL, "QL-77", Cage.TODAY, Optional.empty());
              return Postings.write(
                  session,
                  OIL,
                  Ledger.receive(
                      session.ledger().stockOf(OIL),
                      new LotInBin(OIL, lot, new BinId(8)),
                      litres("15"),
                      new Money(6_000, session.settings().currency())),
                  posting,
                  line);
            });
  }

  private static Quantity litres(String litres) {
    return Quantity.of(Measure.LITRES, new BigDecimal(litres));
  }

  /** A tray for machine 1 that went out with so much of the oil. */
  private TrayId out(String litres) {
    TrayId[] tray = new TrayId[1];
    cage.once()
        .run(
            cage.sent(),
            session -> {
              tray[0] =
                  session
                      .trays()
                      .add(Optional.of(new UnitId(1)), TrayPurpose.LEAK, "leaks", Cage.TODAY);
              session
                  .trayLines()
                  .addLine(
                      tray[0],
                      OIL,
                      "Port reverse gearbox",
                      new LineReason.ByHand(""),
                      litres(litres),
                      Destination.compartment(new CompartmentId(2)));
              return Outcome.done();
            });
    Tray open = cage.read(session -> session.trays().byId(tray[0]).orElseThrow());
    assertThat(desk.lay(cage.sent(), tray[0], open.lines().get(0).id()))
        .isInstanceOf(Outcome.Done.class);
    Tray laid = cage.read(session -> session.trays().byId(tray[0]).orElseThrow());
    assertThat(
            handOvers.handOver(
                cage.sent(),
                tray[0],
                laid.version(),
                new HandOverDesk.Taker("workshop", ""),
                Map.of()))
        .isInstanceOf(Outcome.Done.class);
    return tray[0];
  }

  private List<TrayFile.Container> containers(TrayId tray) {
    return cage.read(
        session -> {
          Tray its = session.trays().byId(tray).orElseThrow();
          return IssuedLines.of(session, its).of(its.lines().get(0)).containers();
        });
  }

  private Outcome back(TrayId tray, String litres, Optional<Long> container) {
    return handOvers.takeBack(cage.sent(), tray, NEW, new BigDecimal(litres), container);
  }

  /** What lies on the shelf: by lot its code, its litres, and whether it is open. */
  private List<String> shelf() {
    return cage.read(
        session ->
            session.ledger().lotsOf(OIL).stream()
                .map(
                    lot ->
                        lot.lotCode()
                            + " "
                            + lot.lot().quantity().exactText()
                            + lot.lot().openedOn().map(day -> " opened " + day).orElse(""))
                .toList());
  }

  /**
   * 6 L go out: a sealed can, and 1 L of one that is opened for it. The sealed can comes back as it
   * was once somebody says that it is that one; 0.4 L more go into the open one.
   */
  @Test
  void whoSaysWhichContainerItIsPutsItThere() {
    TrayId tray = out("6");
    assertThat(shelf()).containsExactly("QL-77 5", "QL-77 open 1 4 opened 2027-03-15");
    List<TrayFile.Container> out = containers(tray);
    assertThat(out).extracting(TrayFile.Container::code).containsExactly("QL-77 open 1", "QL-77");
    assertThat(out).extracting(TrayFile.Container::out).containsExactly(litres("1"), litres("5"));
    assertThat(back(tray, "5", Optional.of(out.get(1).issue()))).isInstanceOf(Outcome.Done.class);
    assertThat(back(tray, "0.4", Optional.empty())).isInstanceOf(Outcome.Done.class);
    assertThat(shelf()).containsExactly("QL-77 10", "QL-77 open 1 4.4 opened 2027-03-15");
    // nothing more of that can is out, and no other container went out
    assertThat(Cage.reasons(back(tray, "1", Optional.of(out.get(1).issue())))).hasSize(1);
    assertThat(Cage.reasons(back(tray, "0.1", Optional.of(99_999L))))
        .containsExactly(new TrayRefusal.NoSuchContainer());
    assertThat(cage.<List<?>>read(session -> session.verification().findings())).isEmpty();
  }

  /** Two sealed cans go out; of one 0.7 L are left, which is an open container from now on. */
  @Test
  void theRestOfACanOpenedOnTheJobIsAnOpenContainer() {
    TrayId tray = out("10");
    assertThat(shelf()).containsExactly("QL-77 5");
    assertThat(containers(tray)).hasSize(1);
    assertThat(back(tray, "0.7", Optional.empty())).isInstanceOf(Outcome.Done.class);
    assertThat(shelf()).containsExactly("QL-77 5", "QL-77 open 1 0.7 opened 2027-03-15");
    assertThat(back(tray, "5", Optional.empty())).isInstanceOf(Outcome.Done.class);
    assertThat(shelf()).containsExactly("QL-77 10", "QL-77 open 1 0.7 opened 2027-03-15");
    assertThat(cage.<List<?>>read(session -> session.verification().findings())).isEmpty();
  }
}

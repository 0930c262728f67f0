package dev.lonja.desk.takeback;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.LotInBin;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.pour.TopUp;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.TaskOutcome;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.core.tray.TrayPurpose;
import dev.lonja.desk.Cage;
import dev.lonja.desk.fluid.TopUpDesk;
import dev.lonja.desk.person.Pins;
import dev.lonja.desk.person.Receiver;
import dev.lonja.desk.person.SecondPerson;
import dev.lonja.desk.person.Secrets;
import dev.lonja.desk.person.Tries;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.tray.HandOverDesk;
import dev.lonja.desk.tray.TrayDesk;
import dev.lonja.desk.tray.TrayRefusal;
import dev.lonja.store.Session;
import dev.lonja.store.fluid.PourRepository.StoredTopUp;
import dev.lonja.store.query.UnitScope;
import dev.lonja.store.tray.Tray;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/**
 * Hoist BH-2 leaks: 2 L go out that no task asks for. Its engine sump was filled with Ola 15W-40,
 * item 2, on 2026-04-02; Brisa 10W-30, item 6, reaches none of what the sump asks for.
 */
class AddedFluidsTest {

  private static final UnitId HOIST = new UnitId(5);
  private static final CompartmentId SUMP = new CompartmentId(5);
  private static final CompartmentId TANK = new CompartmentId(6);
  private static final ItemId OLA = new ItemId(2);
  private static final ItemId BRISA = new ItemId(6);
  private static final TaskId CHANGE = new TaskId(11);
  private static final HandOverDesk.Taker WORKSHOP = new HandOverDesk.Taker("workshop", "");

  @RegisterExtension private final Cage cage = new Cage();
  private TrayDesk trays;
  private HandOverDesk handOvers;
  private SecondPerson second;

  @BeforeEach
  void desks() {
    Pins pins = new Pins(new Secrets(new BCryptPasswordEncoder(4)), new Tries(cage.clock()));
    Receiver receiver = new Receiver(pins);
    second = new SecondPerson(pins, cage.clock());
    trays = new TrayDesk(cage.once(), cage.clock(), receiver);
    handOvers = new HandOverDesk(cage.store(), cage.once(), cage.clock(), receiver, second);
  }

  private TakeBackDesk desk() {
    return new TakeBackDesk(cage.store(), cage.clock(), cage.once());
  }

  private Tray tray(TrayId id) {
    return cage.read(session -> session.trays().byId(id).orElseThrow());
  }

  private long line(TrayId id) {
    return tray(id).lines().get(0).id();
  }

  /** A tray that went out with 2 L of an oil. */
  private TrayId out(TrayPurpose purpose, ItemId oil) {
    TrayId id =
        cage.store()
            .<TrayId>write(
                session -> {
                  TrayId made = session.trays().add(Optional.of(HOIST), purpose, "oil", Cage.TODAY);
                  byHand(session, made, oil);
                  return made;
                });
    assertThat(trays.lay(cage.sent(), id, line(id))).isInstanceOf(Outcome.Done.class);
    assertThat(handOvers.handOver(cage.sent(), id, tray(id).version(), WORKSHOP, Map.of()))
        .isInstanceOf(Outcome.Done.class);
    return id;
  }

  private static void byHand(Session session, TrayId tray, ItemId oil) {
    session
        .trayLines()
        .addLine(
            tray,
            oil,
            "Oil",
            new LineReason.ByHand("drips"),
            Quantity.litres("2"),
            Destination.NONE);
  }

  private void receiveBrisa() {
    Outcome received =
        cage.book(
            cage.sent(),
            BRISA,
            session ->
                Ledger.receive(
                    session.ledger().stockOf(BRISA),
                    new LotInBin(
                        BRISA,
                        session.lots().addLot(BRISA, "B-9", Cage.TODAY, Optional.empty()),
                        new BinId(8)),
                    Quantity.litres("4"),
                    new Money(4_000, session.settings().currency())));
    assertThat(received).isInstanceOf(Outcome.Done.class);
  }

  private Outcome back(TrayId id, CompartmentId into, String litres, String... found) {
    return back(id, Map.of(line(id), to(into, litres)), List.of(found));
  }

  private static TakeBackDesk.AddedTo to(CompartmentId into, String litres) {
    return new TakeBackDesk.AddedTo(into, Volume.ofLitres(litres));
  }

  private Outcome back(TrayId id, Map<Long, TakeBackDesk.AddedTo> added, List<String> found) {
    return desk()
        .takeBack(
            cage.sent(),
            id,
            tray(id).version(),
            new TakeBackDesk.Notes(
                Cage.TODAY,
                Map.of(),
                Map.of(),
                Map.of(),
                added,
                Set.of(),
                Map.of(),
                found,
                Map.of(),
                Map.of()));
  }

  private List<StoredTopUp> sump() {
    return cage.read(session -> session.pours().topUps(HOIST, SUMP, Optional.empty()));
  }

  private int learnedFrom() {
    return cage.read(session -> session.pours().topUps(UnitScope.ALL))
        .getOrDefault(HOIST, List.of())
        .size();
  }

  /** Half a litre came back, so 1.5 L may have gone in; 1.2 L did, and are booked out once. */
  @Test
  void whatWasAddedComesOntoTheRecordAndIsBookedOutOnlyOnce() {
    TrayId id = out(TrayPurpose.LEAK, OLA);
    returned(id, "0.5");
    Quantity onHand = cage.onHand(2);
    List<TakeBackDesk.Added> asked = desk().asked(id).orElseThrow().added();
    assertThat(asked).extracting(TakeBackDesk.Added::out).containsExactly(Quantity.litres("1.5"));
    assertThat(asked.get(0).places()).extracting(Compartment::id).containsExactly(SUMP);

    assertThat(back(id, SUMP, "1.2")).isInstanceOf(Outcome.Done.class);
    assertThat(cage.onHand(2)).isEqualTo(onHand);
    assertThat(sump())
        .singleElement()
        .satisfies(
            topUp -> {
              assertThat(topUp.volume()).isEqualTo(Volume.ofLitres("1.2"));
              assertThat(topUp.itemId()).isEqualTo(OLA);
              assertThat(topUp.on()).isEqualTo(Cage.TODAY);
              assertThat(topUp.trayId()).contains(id);
            });
  }

  /** Of 2 L 1.2 L are in the engine: 0.9 L cannot come back, 0.8 L can. */
  @Test
  void whatIsInTheMachineDoesNotComeBack() {
    TrayId id = out(TrayPurpose.LEAK, OLA);
    back(id, SUMP, "1.2");
    assertThat(Cage.reasons(returned(id, "0.9")))
        .containsExactly(new TrayRefusal.WasAdded(Volume.ofLitres("1.2"), Quantity.litres("0.8")));
    assertThat(returned(id, "0.8")).isInstanceOf(Outcome.Done.class);
  }

  private Outcome returned(TrayId id, String litres) {
    return handOvers.takeBack(
        cage.sent(), id, StockKey.ofNew(OLA), new BigDecimal(litres), Optional.empty());
  }

  @Test
  void nothingIsAddedThatDidNotGoOutOrHasNoPlace() {
    TrayId id = out(TrayPurpose.LEAK, OLA);
    long line = line(id);
    assertThat(Cage.reasons(back(id, SUMP, "2.1")))
        .containsExactly(
            new TrayRefusal.MoreAdded(line, Volume.ofLitres("2.1"), Quantity.litres("2")));
    assertThat(Cage.reasons(back(id, TANK, "1")))
        .containsExactly(new TrayRefusal.AddedNowhere(line));
    assertThat(tray(id).state()).isEqualTo(Tray.State.HANDED_OVER);
    assertThat(sump()).isEmpty();
  }

  /** It is in there, so it comes onto the record; but somebody has to say what is done about it. */
  @Test
  void whatShouldNotBeInThereIsNotedWithAFinding() {
    receiveBrisa();
    TrayId id = out(TrayPurpose.LEAK, BRISA);
    List<Refusal> refused = Cage.reasons(back(id, SUMP, "2"));
    assertThat(refused)
        .singleElement()
        .isInstanceOfSatisfying(
            TrayRefusal.AddedDoubtful.class,
            doubt -> assertThat(doubt.concerns()).contains(new TopUp.Concern.Unsuitable()));
    assertThat(back(id, SUMP, "2", "drain the sump before it runs"))
        .isInstanceOf(Outcome.Done.class);
    assertThat(sump()).extracting(StoredTopUp::itemId).containsExactly(BRISA);
    assertThat(cage.<Integer>read(session -> session.findings().ofTray(id).size())).isOne();
  }

  /** Fresh oil of the same job makes a foreign one no better: 11 L of Ola, then 0.5 L of Brisa. */
  @Test
  void whatIsAddedToAFreshFillIsJudgedAgainstThat() {
    receiveBrisa();
    TrayId id =
        cage.store()
            .<TrayId>write(
                session -> {
                  TrayId made = session.trays().add(HOIST, "Oil", Cage.TODAY, List.of(CHANGE));
                  byHand(session, made, BRISA);
                  return made;
                });
    Map<MeterId, MeterValue> hours = Map.of(new MeterId(8), MeterValue.ofHours("1440"));
    assertThat(trays.lay(cage.sent(), id, line(id))).isInstanceOf(Outcome.Done.class);
    handOvers.handOver(cage.sent(), id, tray(id).version(), WORKSHOP, hours);
    TakeBackDesk.Notes notes =
        new TakeBackDesk.Notes(
            Cage.TODAY,
            hours,
            Map.of(CHANGE, new TaskOutcome.Done(Optional.empty())),
            Map.of(
                SUMP,
                new TakeBackDesk.Poured(Volume.ofLitres("11"), Optional.empty(), Optional.empty())),
            Map.of(line(id), to(SUMP, "0.5")),
            Set.of(),
            Map.of(),
            List.of(),
            Map.of(),
            Map.of());
    assertThat(Cage.reasons(desk().takeBack(cage.sent(), id, tray(id).version(), notes)))
        .hasOnlyElementsOfType(TrayRefusal.AddedDoubtful.class);
  }

  /**
   * Two lines of 2 L of the same oil: each may have brought 2 L, and after 1 L came back both
   * together 3 L.
   */
  @Test
  void twoLinesOfOneFluidBringNoMoreThanIsOutOfIt() {
    TrayId id = outTwice(OLA);
    returned(id, "1");
    assertThat(desk().asked(id).orElseThrow().added())
        .extracting(TakeBackDesk.Added::out)
        .containsExactly(Quantity.litres("2"), Quantity.litres("2"));
    assertThat(Cage.reasons(both(id, "2", "2")))
        .containsExactly(
            new TrayRefusal.MoreAdded(
                tray(id).lines().get(1).id(), Volume.ofLitres("2"), Quantity.litres("1")));
    assertThat(both(id, "1.5", "1.5")).isInstanceOf(Outcome.Done.class);
    assertThat(sump()).hasSize(2);
  }

  /** A tenth of 11 L is 1.1 L: 0.5 L is less, with 0.7 L of the other line it is 1.2 L. */
  @Test
  void whatTwoLinesBringIntoOneSumpIsJudgedTogether() {
    receiveBrisa();
    TrayId id = outTwice(BRISA);
    assertThat(Cage.reasons(both(id, "0.5", "0.7")))
        .extracting(AddedFluidsTest::others)
        .containsExactly(List.of(), List.of(Volume.ofLitres("1.2")));
  }

  private static List<Volume> others(Refusal refusal) {
    return ((TrayRefusal.AddedDoubtful) refusal)
        .concerns().stream()
            .filter(TopUp.Concern.TooMuchOfOthers.class::isInstance)
            .map(concern -> ((TopUp.Concern.TooMuchOfOthers) concern).others())
            .toList();
  }

  /** A tray that went out with two lines of 2 L of an oil. */
  private TrayId outTwice(ItemId oil) {
    TrayId id =
        cage.store()
            .<TrayId>write(
                session -> {
                  TrayId made =
                      session.trays().add(Optional.of(HOIST), TrayPurpose.LEAK, "oil", Cage.TODAY);
                  byHand(session, made, oil);
                  byHand(session, made, oil);
                  return made;
                });
    tray(id).lines().forEach(line -> trays.lay(cage.sent(), id, line.id()));
    handOvers.handOver(cage.sent(), id, tray(id).version(), WORKSHOP, Map.of());
    return id;
  }

  private Outcome both(TrayId id, String first, String second) {
    List<TrayLine> lines = tray(id).lines();
    return back(
        id,
        Map.of(lines.get(0).id(), to(SUMP, first), lines.get(1).id(), to(SUMP, second)),
        List.of());
  }

  /** With what came of the tray it is withdrawn, and not by itself. */
  @Test
  void itIsTakenBackWithItsTray() {
    TrayId id = out(TrayPurpose.LEAK, OLA);
    back(id, SUMP, "2");
    TopUpDesk topUps = new TopUpDesk(cage.clock(), cage.once(), second);
    assertThat(
            Cage.reasons(
                topUps.withdraw(
                    cage.sent(),
                    "BH-2",
                    SUMP,
                    sump().get(0).id(),
                    "wrong",
                    SecondPerson.Signature.NONE)))
        .containsExactly(new TopUpDesk.OfTray(tray(id).number()));
    assertThat(desk().undo(cage.sent(), id, tray(id).version(), "wrong machine"))
        .isInstanceOf(Outcome.Done.class);
    assertThat(sump()).isEmpty();
    assertThat(back(id, SUMP, "1")).isInstanceOf(Outcome.Done.class);
    assertThat(sump()).extracting(StoredTopUp::volume).containsExactly(Volume.ofLitres("1"));
  }

  /** A leak is used without a plan; a top-up is what the engine takes between services. */
  @Test
  void onlyATopUpTeachesWhatTheEngineTakes() {
    int before = learnedFrom();
    back(out(TrayPurpose.LEAK, OLA), SUMP, "2");
    assertThat(learnedFrom()).isEqualTo(before);
    back(out(TrayPurpose.TOP_UP, OLA), SUMP, "2");
    assertThat(learnedFrom()).isEqualTo(before + 1);
  }
}

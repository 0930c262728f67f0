package dev.lonja.desk.tray;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.forecast.Demand;
import dev.lonja.core.forecast.ServiceDemand;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.TaskOutcome;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayPurpose;
import dev.lonja.core.wanted.Finding;
import dev.lonja.core.wanted.WantedPart;
import dev.lonja.core.wanted.WantedPartId;
import dev.lonja.desk.Cage;
import dev.lonja.desk.forecast.Forecast;
import dev.lonja.desk.person.Pins;
import dev.lonja.desk.person.Receiver;
import dev.lonja.desk.person.SecondPerson;
import dev.lonja.desk.person.Secrets;
import dev.lonja.desk.person.Tries;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.takeback.TakeBackDesk;
import dev.lonja.store.replay.PastRepository;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/**
 * A service of WB-1's port engine that goes out with its washer (item 25) and without its oil
 * filter (item 8). The port meter showed 2,260.3 h on 8 March 2027; today is the 15th.
 */
class LeftOutTest {

  private static final UnitId BOAT = new UnitId(1);
  private static final TaskId OIL = new TaskId(1);
  private static final TaskId FILTER = new TaskId(2);
  private static final ItemId OIL_FILTER = new ItemId(8);
  private static final ItemId WASHER = new ItemId(25);
  private static final MeterId PORT = new MeterId(1);

  @RegisterExtension private final Cage cage = new Cage();
  private HandOverDesk handOvers;
  private TakeBackDesk takeBacks;
  private TrayId tray;

  @BeforeEach
  void handOver() {
    Pins pins = new Pins(new Secrets(new BCryptPasswordEncoder(4)), new Tries(cage.clock()));
    handOvers =
        new HandOverDesk(
            cage.store(),
            cage.once(),
            cage.clock(),
            new Receiver(pins),
            new SecondPerson(pins, cage.clock()));
    takeBacks = new TakeBackDesk(cage.store(), cage.clock(), cage.once());
    cage.write(
        session -> {
          tray = session.trays().add(BOAT, "Oil", Cage.TODAY, List.of(OIL, FILTER));
          long washer =
              session
                  .trayLines()
                  .addLine(
                      tray,
                      WASHER,
                      "Port plug seal",
                      new LineReason.NewSeal(""),
                      Quantity.pieces(1),
                      Destination.position(new PositionId(2)),
                      Optional.of(OIL));
          session.trayLines().setLaid(washer, Quantity.pieces(1));
          long filter =
              session
                  .trayLines()
                  .addLine(
                      tray,
                      OIL_FILTER,
                      "Port oil filter",
                      new LineReason.Part(""),
                      Quantity.pieces(1),
                      Destination.position(new PositionId(1)),
                      Optional.of(FILTER));
          session.trayLines().setLeftOut(filter, Optional.of("none to be had"));
        });
    Map<MeterId, MeterValue> shown = Map.of(PORT, MeterValue.ofHours("2265"));
    Outcome outcome =
        handOvers.handOver(cage.sent(), tray, 0, new HandOverDesk.Taker("workshop", ""), shown);
    assertThat(outcome).isInstanceOf(Outcome.Done.class);
  }

  private List<WantedPart> leftOut() {
    return cage.read(session -> session.wanted().openLeftOutOf(tray));
  }

  @Test
  void whatGoesOutWithoutAPartHasItWanted() {
    assertThat(leftOut())
        .singleElement()
        .satisfies(
            part -> {
              assertThat(part.itemId()).isEqualTo(OIL_FILTER);
              assertThat(part.quantity()).isEqualTo(Quantity.pieces(1));
              assertThat(part.taskId()).contains(FILTER);
              assertThat(part.unit().map(WantedPart.ForUnit::code)).contains("WB-1");
            });
  }

  /** For a replay of the past it stood short on the day of its tray, and still does. */
  @Test
  void whatWasLackingStandsShort() {
    assertThat(shortBefore(Cage.TODAY.plusDays(1)))
        .singleElement()
        .isEqualTo(
            new PastRepository.ShortLine(
                OIL_FILTER, Cage.TODAY, Quantity.pieces(1), Optional.empty(), "", false));
    assertThat(shortBefore(Cage.TODAY)).isEmpty();
  }

  private List<PastRepository.ShortLine> shortBefore(LocalDate day) {
    return cage.read(session -> session.past().shortLines(day));
  }

  /** The tray is undone, so it never went out without anything. */
  @Test
  void undoingTheHandOverStrikesIt() {
    assertThat(handOvers.undo(cage.sent(), tray, 1, "wrong boat", SecondPerson.Signature.NONE))
        .isInstanceOf(Outcome.Done.class);
    assertThat(leftOut()).isEmpty();
  }

  @Test
  void whatLiesOnAnotherTrayBarsTheUndoing() {
    WantedPart part = leftOut().get(0);
    cage.write(
        session -> {
          TrayId next =
              session
                  .trays()
                  .add(Optional.of(BOAT), TrayPurpose.BREAKDOWN, "Filter at last", Cage.TODAY);
          WantedLines.putOn(session, session.trays().byId(next).orElseThrow(), part);
        });
    assertThat(
            Cage.reasons(
                handOvers.undo(cage.sent(), tray, 1, "wrong boat", SecondPerson.Signature.NONE)))
        .containsExactly(new TrayRefusal.OnAnotherTray("T-0002"));
  }

  /**
   * The oil was changed, the filter not: its task stays due, its part is wanted, and the next tray
   * for that task brings one filter, not two.
   */
  @Test
  void theNextTrayOfTheTaskBringsItOnceAndTheForecastAsksForItOnce() {
    takeBack(List.of(), Map.of());
    List<Demand> demands =
        cage.read(session -> Forecast.load(session, Cage.TODAY, 4).plan().demandsOf(OIL_FILTER));
    Quantity port =
        demands.stream()
            .filter(demand -> demand.unitCode().equals(Optional.of("WB-1")))
            .filter(demand -> !isOfStarboard(demand))
            .map(Demand::quantity)
            .reduce(Quantity.pieces(0), Quantity::plus);
    assertThat(port).isEqualTo(Quantity.pieces(1));
    TrayStartDesk start = new TrayStartDesk(cage.store(), cage.once(), cage.clock());
    assertThat(start.start(cage.sent(), "WB-1", planned(demands))).isInstanceOf(Outcome.Done.class);
    assertThat(leftOut()).isEmpty();
    cage.write(
        session ->
            assertThat(
                    session.trays().open().stream()
                        .flatMap(open -> open.lines().stream())
                        .filter(line -> line.place().equals("Port oil filter")))
                .hasSize(1));
  }

  private static LocalDate planned(List<Demand> demands) {
    return demands.stream()
        .filter(demand -> demand.unitCode().equals(Optional.of("WB-1")))
        .filter(demand -> demand instanceof ServiceDemand && !isOfStarboard(demand))
        .map(Demand::date)
        .findFirst()
        .orElseThrow();
  }

  private static boolean isOfStarboard(Demand demand) {
    return demand instanceof ServiceDemand service && !service.line().taskId().equals(FILTER);
  }

  @Test
  void whatNobodyWantsAnyMoreIsDroppedWithTheReason() {
    WantedPartId id = leftOut().get(0).id();
    takeBack(List.of(), Map.of(id, "the old one was cleaned"));
    assertThat(leftOut()).isEmpty();
  }

  @Test
  void whatTheJobFoundIsOpenUntilTheTakingBackIsUndone() {
    takeBack(List.of("cover gasket leaks", "belt cracked"), Map.of());
    assertThat(found()).extracting(Finding::words).contains("cover gasket leaks", "belt cracked");
    Finding belt = found().get(0);
    assertThat(belt.foundOn()).isEqualTo(LocalDate.parse("2027-03-15"));
    cage.write(session -> session.findings().set(belt, Finding.State.CLOSED, "changed at once"));
    assertThat(takeBacks.undo(cage.sent(), tray, 2, "too early")).isInstanceOf(Outcome.Done.class);
    assertThat(found())
        .as("what was settled stays")
        .extracting(Finding::id)
        .containsExactly(belt.id());
  }

  /** One washer went out: one comes back by its scan, whatever sign stands between its sizes. */
  @Test
  void whatWentOutComesBackByScanPieceByPiece() {
    assertThat(handOvers.scanBack(cage.sent(), tray, "cu 24x29X2"))
        .isInstanceOf(Outcome.Done.class);
    assertThat(Cage.reasons(handOvers.scanBack(cage.sent(), tray, "Cu 24×29×2")))
        .singleElement()
        .isInstanceOf(TrayRefusal.NotOut.class);
    assertThat(Cage.reasons(handOvers.scanBack(cage.sent(), tray, "VM 22-1010")))
        .as("the filter never went out")
        .singleElement()
        .isInstanceOf(TrayRefusal.NotOut.class);
    assertThat(Cage.reasons(handOvers.scanBack(cage.sent(), tray, "nothing")))
        .containsExactly(new TrayRefusal.UnknownNumber("nothing"));
  }

  private List<Finding> found() {
    return cage.read(session -> session.findings().ofTray(tray));
  }

  private void takeBack(List<String> found, Map<WantedPartId, String> dropped) {
    Outcome outcome =
        takeBacks.takeBack(
            cage.sent(),
            tray,
            1,
            new TakeBackDesk.Notes(
                Cage.TODAY,
                Map.of(PORT, MeterValue.ofHours("2265")),
                Map.of(
                    OIL,
                    new TaskOutcome.Done(Optional.empty()),
                    FILTER,
                    new TaskOutcome.NotDone("no filter", Optional.empty())),
                Map.of(),
                Map.of(),
                Set.of(),
                Map.of(),
                found,
                dropped,
                Map.of()));
    assertThat(outcome).isInstanceOf(Outcome.Done.class);
  }
}

package dev.lonja.desk.tray;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.policy.Choice;
import dev.lonja.core.policy.Holder;
import dev.lonja.core.policy.InForce;
import dev.lonja.core.policy.School;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.Occurrence;
import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.Cage;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.request.Outcome;
import dev.lonja.store.tray.Tray;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The trays of the coming days are made at once, and follow their services until they are laid. */
class TraysAheadTest {

  /** Monday to Friday. */
  private static final LocalDate LAST = LocalDate.parse("2027-03-19");

  @RegisterExtension private final Cage cage = new Cage();
  private TrayStartDesk desk;

  @BeforeEach
  void sitDown() {
    desk = new TrayStartDesk(cage.store(), cage.once(), cage.clock());
  }

  private List<Occurrence> withoutTray() {
    return cage.read(
        session ->
            FleetPicture.load(session, Cage.TODAY).plans(LAST).stream()
                .flatMap(plan -> plan.occurrences().stream())
                .filter(occurrence -> occurrence.inHand().isEmpty())
                .toList());
  }

  private List<Tray> open() {
    return cage.read(session -> session.trays().open());
  }

  private void makeAll() {
    assertThat(desk.startAhead(cage.sent())).isEqualTo(Outcome.done());
  }

  private static boolean drains(Tray tray) {
    return tray.lines().stream().anyMatch(line -> line.reason() instanceof LineReason.NewSeal);
  }

  private void chooseNewPlugs() {
    cage.store()
        .write(
            session -> {
              session.policies().choose(Holder.STORE, Choice.of(School.NEW_PLUG_AND_SEAL));
              return true;
            });
  }

  private static List<School> schools(Tray tray) {
    return tray.lines().stream()
        .filter(line -> line.reason() instanceof LineReason.NewSeal)
        .flatMap(line -> line.ways().stream())
        .map(InForce::school)
        .distinct()
        .toList();
  }

  @Test
  void everyServiceOfTheRacksDaysHasItsTrayOnce() {
    int before = open().size();
    int planned = withoutTray().size();
    assertThat(planned).isPositive();
    makeAll();
    assertThat(open()).hasSize(before + planned);
    assertThat(withoutTray()).isEmpty();
    makeAll();
    assertThat(open()).hasSize(before + planned);
  }

  /** Another policy for drain seals: the tray that lies untouched follows, the one begun stays. */
  @Test
  void aTrayFollowsItsServiceUntilSomebodyBeginsToLayIt() {
    makeAll();
    List<Tray> draining =
        open().stream()
            .filter(TraysAheadTest::drains)
            .sorted(Comparator.comparing(Tray::number))
            .toList();
    assertThat(draining).hasSizeGreaterThan(1);
    Tray begun = draining.get(0);
    Tray untouched = draining.get(1);
    TrayLine first = begun.lines().get(0);
    cage.store()
        .write(
            session -> {
              session.trayLines().setLeftOut(first.id(), Optional.of("none to be had"));
              return true;
            });
    chooseNewPlugs();

    makeAll();
    assertThat(schools(again(untouched))).containsExactly(School.NEW_PLUG_AND_SEAL);
    assertThat(schools(again(begun))).containsExactly(School.NEW_SEAL);
    assertThat(again(untouched).lines())
        .allMatch(line -> line.laid().equals(Quantity.zero(line.wanted().measure())));
  }

  private Tray again(Tray tray) {
    return cage.read(session -> session.trays().byId(tray.id()).orElseThrow());
  }

  /** One by one as well; what is handed over or put away is left alone. */
  @Test
  void oneTrayIsMadeAnewByItself() {
    makeAll();
    Tray tray = open().stream().filter(TraysAheadTest::drains).findFirst().orElseThrow();
    chooseNewPlugs();
    assertThat(desk.makeAnew(cage.sent(), tray.id())).isEqualTo(Outcome.done());
    assertThat(schools(again(tray))).containsExactly(School.NEW_PLUG_AND_SEAL);
    cage.store().write(session -> session.trays().clear(tray.id(), again(tray).version()));
    assertThat(desk.makeAnew(cage.sent(), tray.id()))
        .isEqualTo(Outcome.refused(new TrayRefusal.NotOpen()));
  }
}

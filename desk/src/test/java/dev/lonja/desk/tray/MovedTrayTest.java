package dev.lonja.desk.tray;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.service.Occurrence;
import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.Cage;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Pins;
import dev.lonja.desk.person.Receiver;
import dev.lonja.desk.person.Secrets;
import dev.lonja.desk.person.Tries;
import dev.lonja.desk.request.Outcome;
import dev.lonja.store.tray.Tray;
import java.time.LocalDate;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/** An open tray is put on another day, and its service is planned for that day. */
class MovedTrayTest {

  private static final LocalDate FRIDAY = LocalDate.parse("2027-03-19");

  @RegisterExtension private final Cage cage = new Cage();
  private TrayDesk desk;
  private Tray tray;

  @BeforeEach
  void makeTrays() {
    desk =
        new TrayDesk(
            cage.once(),
            cage.clock(),
            new Receiver(
                new Pins(new Secrets(new BCryptPasswordEncoder(4)), new Tries(cage.clock()))));
    new TrayStartDesk(cage.store(), cage.once(), cage.clock()).startAhead(cage.sent());
    tray =
        cage.read(
            session ->
                session.trays().open().stream()
                    .filter(open -> !open.taskIds().isEmpty() && open.plannedOn().isBefore(FRIDAY))
                    .findFirst()
                    .orElseThrow());
  }

  private Outcome move(TrayId id, LocalDate day) {
    return desk.moveTo(cage.sent(), id, day);
  }

  private LocalDate planned() {
    return cage.read(
        session ->
            FleetPicture.load(session, Cage.TODAY).plans(FRIDAY).stream()
                .filter(plan -> tray.isFor(plan.unitId()))
                .flatMap(plan -> plan.occurrences().stream())
                .filter(
                    occurrence ->
                        occurrence
                            .inHand()
                            .filter(hand -> hand.taskIds().containsAll(tray.taskIds()))
                            .isPresent())
                .map(Occurrence::date)
                .findFirst()
                .orElseThrow());
  }

  @Test
  void itsServiceIsPlannedForThatDay() {
    assertThat(move(tray.id(), FRIDAY)).isEqualTo(Outcome.done());
    assertThat(planned()).isEqualTo(FRIDAY);
  }

  /** Not into the past, not beyond what is planned, and not once it is put away. */
  @Test
  void theDayLiesWithinThePlan() {
    LocalDate yesterday = Cage.TODAY.minusDays(1);
    LocalDate last = Cage.TODAY.plusYears(2);
    assertThat(move(tray.id(), yesterday))
        .isEqualTo(Outcome.refused(new TrayRefusal.OutsidePlan(yesterday, Cage.TODAY, last)));
    assertThat(move(tray.id(), last.plusDays(1)))
        .isEqualTo(
            Outcome.refused(new TrayRefusal.OutsidePlan(last.plusDays(1), Cage.TODAY, last)));
    cage.store().write(session -> session.trays().clear(tray.id(), tray.version()));
    assertThat(move(tray.id(), FRIDAY)).isEqualTo(Outcome.refused(new TrayRefusal.NotOpen()));
  }
}

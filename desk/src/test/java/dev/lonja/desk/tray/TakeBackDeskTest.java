package dev.lonja.desk.tray;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.TaskOutcome;
import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.Cage;
import dev.lonja.desk.meter.ReadingRefusal;
import dev.lonja.desk.request.Outcome;
import dev.lonja.store.tray.Tray;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * A change of WB-1's port engine oil, handed over on 1 March 2027. The port meter showed 2,208.2 h
 * on 22 February and 2,260.3 h on 8 March.
 */
class TakeBackDeskTest {

  private static final TaskId OIL = new TaskId(1);

  @RegisterExtension private final Cage cage = new Cage();

  private TrayId out() {
    cage.write(
        session -> {
          TrayId tray = session.trays().add(new UnitId(1), "Oil", Cage.TODAY, List.of(OIL));
          session.trays().handOver(tray, 0, "workshop", LocalDate.parse("2027-03-01"));
        });
    return cage.read(session -> session.trays().out().get(0).id());
  }

  private Outcome back(TrayId tray, String hours) {
    TakeBackDesk desk = new TakeBackDesk(cage.store(), cage.clock(), cage.once());
    return desk.takeBack(
        cage.sent(),
        tray,
        1,
        new TakeBackDesk.Notes(
            LocalDate.parse("2027-03-02"),
            Map.of(new MeterId(1), MeterValue.ofHours(hours)),
            Map.of(OIL, new TaskOutcome.Done(Optional.empty())),
            Map.of(),
            Set.of(),
            Map.of(),
            List.of(),
            Map.of()));
  }

  /** 2,290 h on 2 March would put aside what was read on 8 March; 2,230 h fits between. */
  @Test
  void aJobOfAnEarlierDaySetsNoLaterReadingAside() {
    TrayId tray = out();
    assertThat(Cage.reasons(back(tray, "2290")))
        .hasOnlyElementsOfType(ReadingRefusal.SetsOthersAside.class);
    assertThat(back(tray, "2230")).isInstanceOf(Outcome.Done.class);
    assertThat(cage.<Tray>read(session -> session.trays().byId(tray).orElseThrow()).state())
        .isEqualTo(Tray.State.BACK);
  }
}

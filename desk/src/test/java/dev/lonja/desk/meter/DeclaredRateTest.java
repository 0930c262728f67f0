package dev.lonja.desk.meter;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.UsageRate;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.desk.Cage;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.request.Outcome;
import java.math.BigDecimal;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** AT-9 is new: its road meter, number 11, was never read. */
class DeclaredRateTest {

  private static final MeterId ROAD = new MeterId(11);

  @RegisterExtension private final Cage cage = new Cage();
  private UnitMetersDesk desk;

  @BeforeEach
  void open() {
    desk = new UnitMetersDesk(cage.store(), cage.clock(), cage.once());
  }

  private Outcome declare(String perDay) {
    return desk.declare(
        cage.sent(),
        "AT-9",
        ROAD,
        Optional.of(perDay).filter(text -> !text.isEmpty()).map(BigDecimal::new));
  }

  private Optional<UsageRate> rate() {
    return cage.read(
        session ->
            FleetPicture.load(session, Cage.TODAY)
                .meters()
                .get(ROAD)
                .file()
                .meter()
                .declaredRate());
  }

  @Test
  void whatIsDeclaredCountsUntilItIsTakenBack() {
    assertThat(rate()).isEmpty();
    assertThat(declare("12.5")).isInstanceOf(Outcome.Done.class);
    assertThat(rate().map(UsageRate::exactText)).contains("12.5");
    assertThat(
            cage.<Boolean>read(
                session ->
                    FleetPicture.load(session, Cage.TODAY)
                        .meters()
                        .get(ROAD)
                        .outlook()
                        .rate()
                        .filter(rate -> rate.source() == UsageRate.Source.DECLARED)
                        .isPresent()))
        .isTrue();
    assertThat(declare("")).isInstanceOf(Outcome.Done.class);
    assertThat(rate()).isEmpty();
  }

  /** 1,500 km a day is the most that a reading may add, so it is the most here too. */
  @Test
  void noMachineIsUsedMoreThanADayCanAdd() {
    assertThat(declare("1500")).isInstanceOf(Outcome.Done.class);
    assertThat(Cage.reasons(declare("1500.1")))
        .containsExactly(
            new UnitMetersDesk.TooMuchADay(new BigDecimal("1500.1"), MeterMeasure.KILOMETRES));
    assertThat(rate().map(UsageRate::exactText)).contains("1500");
    assertThat(Cage.reasons(desk.declare(cage.sent(), "AT-9", new MeterId(1), Optional.empty())))
        .containsExactly(new ReadingRefusal.UnknownMeter(new MeterId(1)));
  }
}

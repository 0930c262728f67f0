package dev.lonja.core.meter;

import static dev.lonja.core.meter.Fleets.hours;
import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.calendar.UsageCalendar;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fleet.Variant;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterValue;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class MeterStandingTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final Unit.UnitClass FORKLIFTS = new Unit.UnitClass(1, "FL", "Forklifts");
  private static final Unit.UnitClass BOATS = new Unit.UnitClass(2, "WB", "Workboats");

  /** Read at 3 h a day; declared 5; a classmate without either takes the median, 3; a boat none. */
  @Test
  void theRateComesFromReadingsElseDeclaredElseTheClassElseNowhere() {
    Map<MeterId, MeterStanding> standings =
        MeterStanding.ofFleet(
            List.of(
                file(
                    new MeterId(1),
                    FORKLIFTS,
                    Optional.of("9"),
                    hours(1, "2027-01-01", "100"),
                    hours(2, "2027-02-01", "193"),
                    hours(3, "2027-03-01", "277")),
                file(new MeterId(2), FORKLIFTS, Optional.of("5")),
                file(new MeterId(3), FORKLIFTS, Optional.empty()),
                file(new MeterId(4), BOATS, Optional.empty())));
    assertThat(rate(standings, new MeterId(1)).source()).isEqualTo(UsageRate.Source.READINGS);
    assertThat(rate(standings, new MeterId(1)).display()).isEqualTo("3.00 h a day");
    assertThat(rate(standings, new MeterId(2)).source()).isEqualTo(UsageRate.Source.DECLARED);
    assertThat(rate(standings, new MeterId(3)).source()).isEqualTo(UsageRate.Source.CLASS_MEDIAN);
    assertThat(rate(standings, new MeterId(3)).display()).isEqualTo("3.00 h a day");
    assertThat(standings.get(new MeterId(4)).outlook().rate()).isEmpty();
  }

  /** From 277 h on 1 March at 3 h a day: 277 + 14 × 3 = 319 h on 15 March. */
  @Test
  void theExpectedLifeRunsOnFromTheLastAcceptedReading() {
    MeterOutlook outlook = Fleets.steady("2027-03-01", "277", "3");
    assertThat(outlook.on(TODAY).rounded()).isEqualTo(MeterValue.ofHours("319"));
    assertThat(outlook.on(LocalDate.parse("2027-02-01")).rounded())
        .isEqualTo(MeterValue.ofHours("277"));
  }

  @Test
  void withoutReadingsItStandsAtTheStartOfService() {
    MeterStanding standing =
        MeterStanding.ofFleet(List.of(file(new MeterId(1), BOATS, Optional.of("2"))))
            .get(new MeterId(1));
    assertThat(standing.outlook().base()).isEqualTo(MeterValue.ofHours("50"));
    assertThat(standing.outlook().baseDay()).isEqualTo(LocalDate.parse("2026-01-01"));
    // 438 days from 1 January 2026 to 15 March 2027, at 2 h a day
    assertThat(standing.outlook().on(TODAY).rounded()).isEqualTo(MeterValue.ofHours("926"));
    assertThat(standing.isStale(TODAY)).isTrue();
  }

  /** 45 days or more since the last accepted reading; flagged ones do not speak. */
  @Test
  void aMeterIsSilentFromTheFortyFifthDay() {
    MeterStanding standing =
        MeterStanding.ofFleet(
                List.of(
                    file(
                        new MeterId(1),
                        BOATS,
                        Optional.empty(),
                        hours(1, "2027-01-30", "500"),
                        hours(2, "2027-03-10", "20"))))
            .get(new MeterId(1));
    assertThat(standing.isStale(LocalDate.parse("2027-03-15"))).isFalse();
    assertThat(standing.silentDays(LocalDate.parse("2027-03-16"))).isEqualTo(45);
    assertThat(standing.isStale(LocalDate.parse("2027-03-16"))).isTrue();
  }

  private static UsageRate rate(Map<MeterId, MeterStanding> standings, MeterId meterId) {
    return standings.get(meterId).outlook().rate().orElseThrow();
  }

  private static MeterFile file(
      MeterId id, Unit.UnitClass unitClass, Optional<String> declared, Reading... readings) {
    return file(id, unitClass, declared, MeterNotes.of(List.of(readings)));
  }

  /** One meter alone, of a boat. */
  static MeterStanding standing(MeterNotes notes) {
    MeterFile file = file(new MeterId(1), BOATS, Optional.empty(), notes);
    return MeterStanding.ofFleet(List.of(file)).get(new MeterId(1));
  }

  private static MeterFile file(
      MeterId id, Unit.UnitClass unitClass, Optional<String> declared, MeterNotes notes) {
    LocalDate inService = LocalDate.parse("2026-01-01");
    Unit unit =
        new Unit(
            new UnitId(id.value()),
            "U-" + id,
            "a unit",
            unitClass,
            new Variant(1, "Brannoch", "D25", ""),
            inService,
            Optional.empty(),
            0);
    Optional<UsageRate> rate =
        declared.map(perDay -> UsageRate.declared(new BigDecimal(perDay), MeterMeasure.HOURS));
    Meter meter = new Meter(id, unit.id(), "hours", MeterValue.ofHours("50"), rate);
    return new MeterFile(
        unit, meter, UsageCalendar.EVEN, MeterDigest.of(notes, UsageCalendar.EVEN));
  }
}

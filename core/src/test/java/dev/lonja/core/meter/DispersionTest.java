package dev.lonja.core.meter;

import static dev.lonja.core.meter.Fleets.hours;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.lonja.core.calendar.UsageCalendar;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterValue;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class DispersionTest {

  private static final UsageRate TWO =
      UsageRate.declared(BigDecimal.valueOf(2), MeterMeasure.HOURS);

  /**
   * Ten days apart at 2 h a day, so 20 h are expected each time; run were 30, 10 and 26 h. (10² +
   * 10² + 6²) / 20 / 3 = 236 / 60 = 3.9333 h.
   */
  @Test
  void isTheMeanSquareOverTheMean() {
    assertThat(
            find(
                hours(1, "2027-02-01", "100"),
                hours(2, "2027-02-11", "130"),
                hours(3, "2027-02-21", "140"),
                hours(4, "2027-03-03", "166")))
        .contains(new Dispersion(3_933_333, MeterMeasure.HOURS));
  }

  /** Readings 4 and 6 days after the first: the one after 4 days is passed over. */
  @Test
  void neighboursLieFiveDaysApart() {
    // left are 1, 7, 13 and 19 February: 12 h expected each time; 12, 18 and 6 h were run
    assertThat(
            find(
                hours(1, "2027-02-01", "100"),
                hours(2, "2027-02-05", "111"),
                hours(3, "2027-02-07", "112"),
                hours(4, "2027-02-13", "130"),
                hours(5, "2027-02-19", "136")))
        .contains(new Dispersion(2_000_000, MeterMeasure.HOURS));
  }

  @Test
  void twoNeighboursAreTooFewAndARateOfZeroNeedsNone() {
    Reading first = hours(1, "2027-02-01", "100");
    Reading second = hours(2, "2027-02-11", "130");
    Reading third = hours(3, "2027-02-21", "140");
    assertThat(find(first, second, third)).isEmpty();
    UsageRate still = UsageRate.declared(BigDecimal.ZERO, MeterMeasure.HOURS);
    assertThat(
            DispersionFinder.fromReadings(
                Fleets.lives(first, second, third, hours(4, "2027-03-03", "166")),
                UsageCalendar.EVEN,
                still))
        .isEmpty();
  }

  /** Classmates at 1, 3 and 8 h: 3. Without any, one day's use: 2 h. Never below 0.1. */
  @Test
  void otherwiseTheClassElseADaysUse() {
    List<Dispersion> classmates =
        List.of(phi(3), phi(8), phi(1), new Dispersion(99_000_000, MeterMeasure.KILOMETRES));
    assertThat(DispersionFinder.otherwise(classmates, TWO)).isEqualTo(phi(3));
    assertThat(DispersionFinder.otherwise(List.of(), TWO)).isEqualTo(phi(2));
    assertThat(Dispersion.of(0.02, MeterMeasure.HOURS).millionths()).isEqualTo(100_000);
    assertThatThrownBy(() -> new Dispersion(99_999, MeterMeasure.HOURS))
        .hasMessageContaining("millionths is 99999; allowed is 100000 or more");
  }

  /**
   * 5 h a day, φ 50 h, 75 h to go. After 10 days the shape is 1, an exponential: e^−1.5 = 0.22313.
   * After 20 days it is 2: e^−1.5 × (1 + 1.5) = 0.55783. After 30, 3: e^−1.5 × (1 + 1.5 + 1.125) =
   * 0.80885.
   */
  @Test
  void theChanceOfALimitIsTheTailOfAGamma() {
    MeterOutlook outlook = Fleets.uneven("2027-03-15", "1000", "5", 50);
    MeterValue limit = MeterValue.ofHours("1075");
    assertThat(outlook.chanceOfReaching(limit, day("2027-03-25"))).isCloseTo(0.22313, within(1e-5));
    assertThat(outlook.chanceOfReaching(limit, day("2027-04-04"))).isCloseTo(0.55783, within(1e-5));
    assertThat(outlook.chanceOfReaching(limit, day("2027-04-14"))).isCloseTo(0.80885, within(1e-5));
    assertThat(outlook.chanceOfReaching(limit, day("2027-03-15"))).isZero();
    assertThat(outlook.chanceOfReaching(MeterValue.ofHours("1000"), day("2027-03-15")))
        .isEqualTo(1);
  }

  /** The day of a chance is the first by which it is reached: a day earlier it is less. */
  @Test
  void theDayOfAChanceIsTheFirst() {
    MeterOutlook outlook = Fleets.uneven("2027-03-15", "1000", "5", 50);
    MeterValue limit = MeterValue.ofHours("1075");
    assertThat(outlook.dayOfChance(limit, 0.5578, day("2027-03-15"), day("2027-12-31")))
        .contains(day("2027-04-04"));
    assertThat(outlook.dayOfChance(limit, 0.5579, day("2027-03-15"), day("2027-12-31")))
        .contains(day("2027-04-05"));
    assertThat(outlook.dayOfChance(limit, 0.9, day("2027-03-15"), day("2027-03-31"))).isEmpty();
  }

  private static Optional<Dispersion> find(Reading... readings) {
    return DispersionFinder.fromReadings(Fleets.lives(readings), UsageCalendar.EVEN, TWO);
  }

  private static Dispersion phi(double hours) {
    return Dispersion.of(hours, MeterMeasure.HOURS);
  }

  private static LocalDate day(String text) {
    return LocalDate.parse(text);
  }
}

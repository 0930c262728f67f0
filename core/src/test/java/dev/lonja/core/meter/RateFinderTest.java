package dev.lonja.core.meter;

import static dev.lonja.core.meter.Fleets.hours;
import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.calendar.UsageCalendar;
import dev.lonja.core.quantity.MeterMeasure;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class RateFinderTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");

  /**
   * Readings at 0, 10, 20 and 30 days: 100, 130, 200, 220 h. Slopes: 3, 5, 4, 7, 4.5, 2; sorted 2,
   * 3, 4, 4.5, 5, 7; the mean of the middle two is 4.25.
   */
  @Test
  void takesTheMedianOfThePairwiseSlopes() {
    Optional<UsageRate> rate =
        rate(
            UsageCalendar.EVEN,
            hours(1, "2027-02-01", "100"),
            hours(2, "2027-02-11", "130"),
            hours(3, "2027-02-21", "200"),
            hours(4, "2027-03-03", "220"));
    assertThat(rate).contains(perDay("4.25", UsageRate.Source.READINGS));
  }

  /**
   * Days 0, 3 and 28: the pair three days apart is left out. Slopes left: 56/28 = 2 and 50/25 = 2.
   */
  @Test
  void pairsCloserThanSevenDaysAreLeftOut() {
    Optional<UsageRate> rate =
        rate(
            UsageCalendar.EVEN,
            hours(1, "2027-02-01", "100"),
            hours(2, "2027-02-04", "106"),
            hours(3, "2027-03-01", "156"));
    assertThat(rate).contains(perDay("2", UsageRate.Source.READINGS));
  }

  /** January does not count: from 1 January to 14 February, 14 days × 2 = 28 effective days. */
  @Test
  void slopesAreByEffectiveDay() {
    Optional<UsageRate> rate =
        rate(
            Fleets.januaryOff(),
            hours(1, "2027-01-01", "500"),
            hours(2, "2027-01-31", "500"),
            hours(3, "2027-02-14", "542"));
    assertThat(rate).contains(perDay("1.5", UsageRate.Source.READINGS));
  }

  @Test
  void needsThreeReadingsOverTwentyEightDays() {
    Reading first = hours(1, "2027-02-01", "100");
    Reading second = hours(2, "2027-02-15", "110");
    assertThat(rate(UsageCalendar.EVEN, first, second)).isEmpty();
    assertThat(rate(UsageCalendar.EVEN, first, second, hours(3, "2027-02-28", "120"))).isEmpty();
    assertThat(rate(UsageCalendar.EVEN, first, second, hours(3, "2027-03-01", "120"))).isPresent();
  }

  /**
   * 365 days back from the last reading, 1 March 2027, is 1 March 2026, which still counts; the day
   * before does not, and two readings give no rate.
   */
  @Test
  void looksBackAYearFromTheLastReadingWithBothEnds() {
    Reading second = hours(2, "2026-09-01", "400");
    Reading third = hours(3, "2027-03-01", "500");
    assertThat(rate(UsageCalendar.EVEN, hours(1, "2026-03-01", "300"), second, third)).isPresent();
    assertThat(rate(UsageCalendar.EVEN, hours(1, "2026-02-28", "300"), second, third)).isEmpty();
  }

  /**
   * Seven readings, one jump of 144 h. Before the last reading: 15 of the 21 slopes are zero, so
   * the median is 0 and the mean, 144 h over 348 days, is the rate.
   */
  @Test
  void aStandbySetThatRanForAWeekIsBursty() {
    UsageRate rate = rateOfJump("10", "10", "154").orElseThrow();
    assertThat(rate.source()).isEqualTo(UsageRate.Source.BURSTY_READINGS);
    assertThat(rate.billionthsPerDay()).isEqualTo(413_793_103);
  }

  /**
   * The same jump before the fifth reading: 12 slopes hold it and 9 are zero, so the median is the
   * second smallest of those 12: over the 334 days from 1 April to 1 March, 0.431. The mean, 0.414,
   * is not above 1.5 × that.
   */
  @Test
  void theSameJumpInTheMiddleIsNotBursty() {
    UsageRate rate = rateOfJump("154", "154", "154").orElseThrow();
    assertThat(rate.source()).isEqualTo(UsageRate.Source.READINGS);
    assertThat(rate.billionthsPerDay()).isEqualTo(431_137_725);
  }

  private static Optional<UsageRate> rateOfJump(String fifth, String sixth, String seventh) {
    return rate(
        UsageCalendar.EVEN,
        hours(1, "2026-04-01", "10"),
        hours(2, "2026-07-01", "10"),
        hours(3, "2026-10-01", "10"),
        hours(4, "2026-11-20", "10"),
        hours(5, "2027-02-01", fifth),
        hours(6, "2027-03-01", sixth),
        hours(7, "2027-03-15", seventh));
  }

  @Test
  void aMachineThatNeverRunsStandsStill() {
    Optional<UsageRate> rate =
        rate(
            UsageCalendar.EVEN,
            hours(1, "2027-01-01", "10"),
            hours(2, "2027-02-01", "10"),
            hours(3, "2027-03-01", "10"));
    assertThat(rate.orElseThrow().isStandingStill()).isTrue();
  }

  /** 1, 4 and 10 h from readings: median 4. A declared rate and one in km do not count. */
  @Test
  void theClassMedianIsOfRatesFromReadings() {
    List<UsageRate> rates =
        List.of(
            perDay("10", UsageRate.Source.READINGS),
            perDay("1", UsageRate.Source.READINGS),
            perDay("4", UsageRate.Source.BURSTY_READINGS),
            perDay("100", UsageRate.Source.DECLARED),
            new UsageRate(900_000_000_000L, MeterMeasure.KILOMETRES, UsageRate.Source.READINGS));
    assertThat(RateFinder.classMedian(rates, MeterMeasure.HOURS))
        .contains(perDay("4", UsageRate.Source.CLASS_MEDIAN));
    assertThat(RateFinder.classMedian(List.of(), MeterMeasure.HOURS)).isEmpty();
  }

  private static Optional<UsageRate> rate(UsageCalendar calendar, Reading... readings) {
    return RateFinder.fromReadings(Fleets.lives(readings), calendar);
  }

  private static UsageRate perDay(String hours, UsageRate.Source source) {
    long billionths = new BigDecimal(hours).movePointRight(9).longValueExact();
    return new UsageRate(billionths, MeterMeasure.HOURS, source);
  }
}

package dev.lonja.core.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.meter.ExpectedLife;
import dev.lonja.core.meter.Fleets;
import dev.lonja.core.meter.MeterOutlook;
import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.core.quantity.MeterValue;
import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/**
 * A standby set at 600 h on 15 March 2027 that runs 0.5 h a day, and day and night for six days.
 */
class UsageBurstTest {

  private static final MeterOutlook STANDBY = Fleets.steady("2027-03-15", "600", "0.5");
  private static final UsageBurst SIX_DAYS =
      new UsageBurst(day("2027-03-20"), day("2027-03-25"), MeterSpan.ofHours("24"));
  private static final MeterOutlook WHAT_IF = STANDBY.with(SIX_DAYS);

  /**
   * To the 19th 4 × 0.5 = 2 h; on the 22nd three days at 24 h more; from the 26th half hours again.
   */
  @Test
  void takesThePlaceOfTheRateOnItsDays() {
    assertThat(life("2027-03-19")).isEqualTo("602 h");
    assertThat(life("2027-03-20")).isEqualTo("626 h");
    assertThat(life("2027-03-22")).isEqualTo("674 h");
    assertThat(life("2027-03-25")).isEqualTo("746 h");
    assertThat(life("2027-03-27")).isEqualTo("747 h");
    assertThat(life("2027-03-10")).isEqualTo("600 h");
  }

  /** 700 h: steadily after 200 days, on 1 October; in the burst on the fifth day, 602 + 5 × 24. */
  @Test
  void bringsLimitsForward() {
    MeterValue limit = MeterValue.ofHours("700");
    LocalDate from = day("2027-03-15");
    LocalDate until = day("2028-03-15");
    assertThat(STANDBY.firstDayReaching(ExpectedLife.of(limit), from, until))
        .contains(day("2027-10-01"));
    assertThat(WHAT_IF.firstDayReaching(ExpectedLife.of(limit), from, until))
        .contains(day("2027-03-24"));
    assertThat(WHAT_IF.firstDayReaching(ExpectedLife.of(MeterValue.ofHours("9000")), from, until))
        .isEmpty();
  }

  /** Laid up in January, or with nothing known of it: on its days the burst counts all the same. */
  @Test
  void countsWhateverMonthsAndRateSay() {
    MeterOutlook unknown =
        new MeterOutlook(
            day("2027-01-01"),
            MeterValue.ofHours("10"),
            Optional.empty(),
            Optional.empty(),
            Fleets.januaryOff());
    UsageBurst two = new UsageBurst(day("2027-01-10"), day("2027-01-11"), MeterSpan.ofHours("12"));
    assertThat(unknown.with(two).on(day("2027-01-20")).rounded().display()).isEqualTo("34 h");
    assertThat(
            unknown
                .with(two)
                .firstDayReaching(
                    ExpectedLife.of(MeterValue.ofHours("30")),
                    day("2027-01-01"),
                    day("2027-12-31")))
        .contains(day("2027-01-11"));
  }

  /** A burst under way when the meter was read: only the days after the reading count. */
  @Test
  void daysBeforeTheReadingAreInTheReading() {
    UsageBurst begun =
        new UsageBurst(day("2027-03-12"), day("2027-03-17"), MeterSpan.ofHours("24"));
    assertThat(STANDBY.with(begun).on(day("2027-03-18")).rounded().display()).isEqualTo("648.5 h");
  }

  /** What the burst adds is certain: 146 h by 25 March. */
  @Test
  void hasNoDispersionOfItsOwn() {
    assertThat(WHAT_IF.chanceOfReaching(MeterValue.ofHours("744"), day("2027-03-25"))).isEqualTo(1);
    assertThat(WHAT_IF.chanceOfReaching(MeterValue.ofHours("760"), day("2027-03-25")))
        .isLessThan(0.01);
  }

  @Test
  void isBoundByTheDay() {
    assertThatThrownBy(
            () -> new UsageBurst(day("2027-03-20"), day("2027-03-25"), MeterSpan.ofHours("24.1")))
        .hasMessageContaining("perDay is 24.1 h; allowed is up to 24 h");
    assertThatThrownBy(
            () -> new UsageBurst(day("2027-03-25"), day("2027-03-20"), MeterSpan.ofHours("24")))
        .hasMessageContaining("first is 2027-03-25");
    assertThatThrownBy(
            () ->
                STANDBY.with(
                    new UsageBurst(
                        day("2027-03-20"), day("2027-03-25"), MeterSpan.ofKilometres("10"))))
        .hasMessageContaining("measure is km; allowed is h");
  }

  private static String life(String day) {
    return WHAT_IF.on(day(day)).rounded().display();
  }

  private static LocalDate day(String text) {
    return LocalDate.parse(text);
  }
}

package dev.lonja.core.service;

import static dev.lonja.core.service.Services.done;
import static dev.lonja.core.service.Services.task;
import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.meter.Fleets;
import dev.lonja.core.meter.MeterOutlook;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;

/** 5 h a day, φ 50 h, 1,000 h today, due at 1,075 h: expected after 15 days. */
class DueSpreadTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final LocalDate UNTIL = LocalDate.parse("2028-03-15");
  private static final MeterOutlook OUTLOOK = Fleets.uneven("2027-03-15", "1000", "5", 50);

  /**
   * By the chances of the days: on day 10 it is 0.223, on day 20 0.558, on day 30 0.809, so ten per
   * cent come before day 10, half before day 20 and ninety after day 30. On day 40 the shape is 4:
   * e^−1.5 × (1 + 1.5 + 1.125 + 0.5625) = 0.934.
   */
  @Test
  void lateDaysLieFurtherOffThanEarlyOnes() {
    DueSpread spread = spread(task(new TaskId(1), "250", null));
    assertThat(spread.p10().orElseThrow()).isBetween("2027-03-20", "2027-03-25");
    assertThat(spread.p50().orElseThrow()).isBetween("2027-03-30", "2027-04-04");
    assertThat(spread.p90().orElseThrow()).isBetween("2027-04-15", "2027-04-24");
  }

  /** Twelve months from 20 March 2026: on 20 March 2027 it is due whatever the meter says. */
  @Test
  void theCalendarCapsEveryDay() {
    Due due =
        DueRule.due(
            done(task(new TaskId(1), "250", 12), "2026-03-20", "825", OUTLOOK), TODAY, UNTIL);
    DueSpread spread = DueSpread.of(due, TODAY, UNTIL);
    assertThat(spread.p90()).contains(LocalDate.parse("2027-03-20"));
  }

  @Test
  void whatIsOverdueIsDueToday() {
    Due due =
        DueRule.due(
            done(task(new TaskId(1), "250", null), "2026-03-20", "700", OUTLOOK), TODAY, UNTIL);
    DueSpread spread = DueSpread.of(due, TODAY, UNTIL);
    assertThat(spread.p10()).contains(TODAY);
    assertThat(spread.p90()).contains(TODAY);
    Due calendar =
        DueRule.due(done(task(new TaskId(1), null, 6), "2026-03-20", "0", OUTLOOK), TODAY, UNTIL);
    assertThat(DueSpread.of(calendar, TODAY, UNTIL).p50()).contains(TODAY);
  }

  /** By calendar alone all three days are one. */
  @Test
  void aCalendarHasNoSpread() {
    Due due =
        DueRule.due(done(task(new TaskId(1), null, 12), "2026-05-20", "0", OUTLOOK), TODAY, UNTIL);
    assertThat(DueSpread.of(due, TODAY, UNTIL))
        .isEqualTo(new DueSpread(due.calendarDate(), due.calendarDate(), due.calendarDate()));
  }

  @Test
  void aStandstillHasNoDays() {
    MeterOutlook still = Fleets.steady("2027-03-15", "1000", "0");
    Due due =
        DueRule.due(
            done(task(new TaskId(1), "250", null), "2026-03-20", "825", still), TODAY, UNTIL);
    assertThat(DueSpread.of(due, TODAY, UNTIL).p90()).isEmpty();
  }

  private static DueSpread spread(Task task) {
    Due due = DueRule.due(done(task, "2027-01-20", "825", OUTLOOK), TODAY, UNTIL);
    return DueSpread.of(due, TODAY, UNTIL);
  }
}

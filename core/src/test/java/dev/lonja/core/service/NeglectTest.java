package dev.lonja.core.service;

import static dev.lonja.core.service.Services.done;
import static dev.lonja.core.service.Services.neverDone;
import static dev.lonja.core.service.Services.task;
import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.meter.Fleets;
import dev.lonja.core.meter.MeterOutlook;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every 250 h or six months, on 15 March 2027 at 1,585 h. */
class NeglectTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final MeterOutlook OUTLOOK = Fleets.steady("2027-03-15", "1585", "3.5");

  private static boolean isNeglected(TaskStanding standing) {
    return Neglect.is(DueRule.due(standing, TODAY, TODAY.plusYears(2)));
  }

  /** Done at 1,210 h it was due at 1,460 h, 125 h ago: half of 250 h, and not more. */
  @ParameterizedTest
  @CsvSource({"1210, false", "1209.9, true", "1400, false"})
  void byTheMeter(String lastDone, boolean neglected) {
    assertThat(isNeglected(done(task(new TaskId(1), "250", null), "2026-12-01", lastDone, OUTLOOK)))
        .isEqualTo(neglected);
  }

  /** Six months from 15 June ended on 15 December, 90 days ago: half of six months of 30 days. */
  @ParameterizedTest
  @CsvSource({"2026-06-15, false", "2026-06-14, true", "2026-12-01, false"})
  void byTheMonths(String lastDone, boolean neglected) {
    assertThat(isNeglected(done(task(new TaskId(1), null, 6), lastDone, "0", OUTLOOK)))
        .isEqualTo(neglected);
  }

  /** Overdue by a day, and nobody ever noted that it was done. */
  @Test
  void whatWasNeverDoneIsNeglectedOnceItIsOverdue() {
    assertThat(isNeglected(neverDone(task(new TaskId(1), null, 6), "2026-09-14", "0", OUTLOOK)))
        .isTrue();
    assertThat(isNeglected(neverDone(task(new TaskId(1), null, 6), "2026-09-16", "0", OUTLOOK)))
        .isFalse();
  }
}

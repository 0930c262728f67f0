package dev.lonja.core.service;

import static dev.lonja.core.service.Services.done;
import static dev.lonja.core.service.Services.every;
import static dev.lonja.core.service.Services.neverDone;
import static dev.lonja.core.service.Services.task;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.calendar.UsageCalendar;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.meter.Fleets;
import dev.lonja.core.meter.MeterOutlook;
import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.core.quantity.MeterValue;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class DueRuleTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final LocalDate UNTIL = LocalDate.parse("2029-03-15");
  private static final MeterOutlook OUTLOOK = Fleets.steady("2027-03-15", "1585", "3.5");

  /**
   * The example of rules §5: interval 250 h, last done at 1,410 h, read today 1,585 h, 3.5 h a day.
   * Remaining 75 h, 21.43 days, so the 22nd day: 6 April.
   */
  @Test
  void theHandbooksExample() {
    Due due = due(done(task(new TaskId(1), "250", null), "2027-01-20", "1410", OUTLOOK));
    assertThat(due.limit()).contains(MeterValue.ofHours("1660"));
    assertThat(due.plannedDate()).contains(LocalDate.parse("2027-04-06"));
    assertThat(due.cause()).contains(Due.Cause.METER);
    assertThat(due.flags()).isEmpty();
    assertThat(due.isOverdue()).isFalse();
  }

  /** Six months from 20 September end on 20 March, before the meter. */
  @Test
  void whicheverComesFirst() {
    Due due = due(done(task(new TaskId(1), "250", 6), "2026-09-20", "1410", OUTLOOK));
    assertThat(due.calendarDate()).contains(LocalDate.parse("2027-03-20"));
    assertThat(due.plannedDate()).contains(LocalDate.parse("2027-03-20"));
    assertThat(due.cause()).contains(Due.Cause.CALENDAR);
  }

  /** One month from 31 January is 28 February; from 31 January 2028 it is the 29th. */
  @Test
  void aMonthWithoutThatDayEndsOnItsLast() {
    assertThat(due(done(task(new TaskId(1), null, 1), "2027-01-31", "0", OUTLOOK)).calendarDate())
        .contains(LocalDate.parse("2027-02-28"));
    assertThat(due(done(task(new TaskId(1), null, 1), "2028-01-31", "0", OUTLOOK)).calendarDate())
        .contains(LocalDate.parse("2028-02-29"));
    assertThat(due(done(task(new TaskId(1), null, 12), "2028-02-29", "0", OUTLOOK)).calendarDate())
        .contains(LocalDate.parse("2029-02-28"));
  }

  /**
   * 1,335 + 250 = 1,585 h, read today: due, not overdue. A tenth earlier it is overdue by 0.1 h.
   */
  @Test
  void exactlyReachedIsDueAndBeyondIsOverdue() {
    Due reached = due(done(task(new TaskId(1), "250", null), "2026-12-01", "1335", OUTLOOK));
    assertThat(reached.plannedDate()).contains(TODAY);
    assertThat(reached.isOverdue()).isFalse();
    Due beyond = due(done(task(new TaskId(1), "250", null), "2026-12-01", "1334.9", OUTLOOK));
    assertThat(beyond.plannedDate()).contains(TODAY);
    assertThat(beyond.overdueRun()).contains(MeterSpan.ofHours("0.1"));
  }

  /** Twelve months from 15 March 2026 end today; from 14 March they ended yesterday. */
  @Test
  void theCalendarIsOverdueFromTheNextDay() {
    assertThat(due(done(task(new TaskId(1), null, 12), "2026-03-15", "0", OUTLOOK)).isOverdue())
        .isFalse();
    Due late = due(done(task(new TaskId(1), null, 12), "2026-03-14", "0", OUTLOOK));
    assertThat(late.overdueDays()).contains(1L);
    assertThat(late.plannedDate()).contains(TODAY);
  }

  /** Severity 0.8 makes 250 h 200 h and leaves six months alone. */
  @Test
  void severityActsOnTheMeterOnly() {
    Task harsh =
        task(
            new TaskId(1),
            new Task.Action.Inspect(new PositionId(1), ReplacementChance.UNKNOWN),
            every("250", 6),
            Optional.empty(),
            "0.8");
    Due due = due(done(harsh, "2027-03-01", "1550", OUTLOOK));
    assertThat(due.limit()).contains(MeterValue.ofHours("1750"));
    assertThat(due.calendarDate()).contains(LocalDate.parse("2027-09-01"));
  }

  /** Running in: 50 h at first, from the start of service at 1,550 h; months as ever. */
  @Test
  void neverDoneCountsFromTheStartOfServiceByTheFirstInterval() {
    Task runningIn =
        task(
            new TaskId(1),
            new Task.Action.Inspect(new PositionId(1), ReplacementChance.UNKNOWN),
            every("250", 12),
            Optional.of(every("50", null)),
            "1");
    Due due = due(neverDone(runningIn, "2027-03-01", "1550", OUTLOOK));
    assertThat(due.limit()).contains(MeterValue.ofHours("1600"));
    assertThat(due.calendarDate()).contains(LocalDate.parse("2028-03-01"));
    assertThat(due.flags()).containsExactly(Due.Flag.NO_RECORD);
    Due afterwards = due(done(runningIn, "2027-03-10", "1580", OUTLOOK));
    assertThat(afterwards.limit()).contains(MeterValue.ofHours("1830"));
    assertThat(afterwards.flags()).isEmpty();
  }

  @Test
  void anUnknownRateGivesNoDateButALimitPassedIsDue() {
    MeterOutlook unknown =
        new MeterOutlook(
            TODAY,
            MeterValue.ofHours("1585"),
            Optional.empty(),
            Optional.empty(),
            UsageCalendar.EVEN);
    Due ahead = due(done(task(new TaskId(1), "250", null), "2026-12-01", "1410", unknown));
    assertThat(ahead.plannedDate()).isEmpty();
    assertThat(ahead.flags()).containsExactly(Due.Flag.NOT_FORECASTABLE);
    Due passed = due(done(task(new TaskId(1), "250", null), "2026-12-01", "1300", unknown));
    assertThat(passed.plannedDate()).contains(TODAY);
    assertThat(passed.overdueRun()).contains(MeterSpan.ofHours("35"));
    assertThat(passed.flags()).isEmpty();
  }

  @Test
  void aMachineThatStandsStillIsDueByTheCalendarOnly() {
    MeterOutlook still = Fleets.steady("2027-03-15", "1585", "0");
    Due due = due(done(task(new TaskId(1), "250", 12), "2026-12-01", "1410", still));
    assertThat(due.flags()).containsExactly(Due.Flag.STANDING_STILL);
    assertThat(due.plannedDate()).contains(LocalDate.parse("2027-12-01"));
  }

  @Test
  void anIntervalNeedsAMeterOrMonths() {
    assertThatThrownBy(() -> every(null, null))
        .hasMessageContaining("run and months are both absent");
    assertThatThrownBy(() -> every("0", null)).hasMessageContaining("run is 0");
    assertThatThrownBy(() -> every(null, 241))
        .hasMessageContaining("months is 241; allowed is 1 to 240");
    assertThatThrownBy(
            () ->
                task(
                    new TaskId(1),
                    new Task.Action.Inspect(new PositionId(1), ReplacementChance.UNKNOWN),
                    every("1", 1),
                    Optional.empty(),
                    "0"))
        .hasMessageContaining("factor is 0; allowed is above 0, up to 1");
  }

  @Test
  void severityNeedsAReason() {
    assertThatThrownBy(() -> new Severity(new BigDecimal("0.8"), " "))
        .hasMessageContaining("reason is empty");
    assertThatThrownBy(() -> new Severity(new BigDecimal("1.1"), "easy life"))
        .hasMessageContaining("factor is 1.1");
    assertThat(Severity.NONE.shortens()).isFalse();
  }

  private static Due due(TaskStanding standing) {
    return DueRule.due(standing, TODAY, UNTIL);
  }
}

package dev.lonja.core.service;

import static dev.lonja.core.service.Services.SUMP;
import static dev.lonja.core.service.Services.done;
import static dev.lonja.core.service.Services.every;
import static dev.lonja.core.service.Services.neverDone;
import static dev.lonja.core.service.Services.task;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.lonja.core.calendar.LayUp;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.meter.Fleets;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterOutlook;
import dev.lonja.core.policy.Choice;
import dev.lonja.core.policy.Holder;
import dev.lonja.core.policy.InForce;
import dev.lonja.core.policy.School;
import dev.lonja.core.quantity.MeterValue;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Tasks that come otherwise than after one interval: led, seasonal, by fluid, by school, moved. */
class TimingTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final LocalDate UNTIL = LocalDate.parse("2029-03-15");

  /** 1,000 h today, 5 h a day. */
  private static final MeterOutlook OUTLOOK = Fleets.steady("2027-03-15", "1000", "5");

  private static final Task LEAD = task(new TaskId(1), "100", null);

  /** The lead is due at 1,050 h on 25 March and every 20 days after: 14 April, 4 and 24 May. */
  @Test
  void everyThirdOccurrenceOfTheLeadBringsTheTaskAlong() {
    List<Occurrence> plan =
        OccurrencePlanner.plan(List.of(lead(), led(3, 1)), TODAY, LocalDate.parse("2027-06-30"));
    assertThat(daysOf(plan, new TaskId(2))).containsExactly("2027-04-14", "2027-06-13");
    assertThat(daysOf(plan, new TaskId(1)))
        .containsExactly("2027-03-25", "2027-04-14", "2027-05-04", "2027-05-24", "2027-06-13");
  }

  /** Never done though the lead was done seven times: it is due with the lead's next occurrence. */
  @Test
  void aLedTaskLongLeftOutComesWithTheNextOccurrence() {
    List<Occurrence> plan =
        OccurrencePlanner.plan(List.of(led(3, 7), lead()), TODAY, LocalDate.parse("2027-03-31"));
    assertThat(daysOf(plan, new TaskId(2))).containsExactly("2027-03-25");
    Occurrence.OccurrenceTask led = plan.get(0).tasks().get(1);
    assertThat(led.due().cause()).contains(Due.Cause.LEAD);
    assertThat(led.pulledForward()).isFalse();
  }

  /** The lead was done on four days; the third is the day the task itself came along. */
  @Test
  void leadsCountFromTheDayTheTaskWasLastDone() {
    List<Origin> leads =
        List.of("2026-06-01", "2026-09-01", "2026-12-01", "2027-02-01").stream()
            .map(day -> Origin.done(LocalDate.parse(day), Optional.empty()))
            .toList();
    Task led = led(3, 0).task();
    LocalDate inService = LocalDate.parse("2026-01-01");
    UnitHistory once =
        new UnitHistory(
            inService,
            Map.of(new TaskId(1), leads, new TaskId(2), List.of(leads.get(2))),
            Map.of(),
            Map.of());
    assertThat(once.standing(led, Optional.empty()).leadsDone()).isEqualTo(1);
    UnitHistory never =
        new UnitHistory(inService, Map.of(new TaskId(1), leads), Map.of(), Map.of());
    assertThat(never.standing(led, Optional.empty()).leadsDone()).isEqualTo(4);
    assertThat(never.standing(led, Optional.empty()).origin().recorded()).isFalse();
  }

  @Test
  void aTaskIsLedEveryOneToFiftyTimes() {
    assertThatThrownBy(() -> new Timing.EveryNth(new TaskId(1), 0))
        .hasMessageContaining("nth is 0");
    assertThatThrownBy(() -> new Timing.EveryNth(new TaskId(1), 51))
        .hasMessageContaining("1 to 50");
    assertThat(new Timing.EveryNth(new TaskId(1), 50).nth()).isEqualTo(50);
  }

  /** The season begins on 1 April; 14 days before it is 18 March. */
  @Test
  void aSeasonalTaskIsDueSoManyDaysBeforeTheSeason() {
    Due due = seasonal("2026-03-20");
    assertThat(due.plannedDate()).contains(LocalDate.parse("2027-03-18"));
    assertThat(due.cause()).contains(Due.Cause.SEASON);
  }

  /** Done 60 days before 18 March or later it counts for this season; a day sooner it does not. */
  @Test
  void doneAtMostSixtyDaysBeforeItCountsForTheSeason() {
    assertThat(seasonal("2027-01-17").plannedDate()).contains(LocalDate.parse("2028-03-18"));
    assertThat(seasonal("2027-01-16").plannedDate()).contains(LocalDate.parse("2027-03-18"));
  }

  /**
   * Last done two years ago: the one before 2026 was missed, 362 days back, and it is due today.
   */
  @Test
  void aMissedSeasonIsOverdue() {
    Due due = seasonal("2025-03-10");
    assertThat(due.calendarDate()).contains(LocalDate.parse("2026-03-18"));
    assertThat(due.overdueDays()).contains(362L);
    assertThat(due.plannedDate()).contains(TODAY);
  }

  @Test
  void theTwentyNinthOfFebruaryIsTheTwentyEighthInOtherYears() {
    Timing.BeforeSeason leap = new Timing.BeforeSeason(MonthDay.of(2, 29), 0);
    assertThat(leap.after(LocalDate.parse("2026-06-01"))).isEqualTo("2027-02-28");
    assertThat(leap.after(LocalDate.parse("2027-06-01"))).isEqualTo("2028-02-29");
  }

  /** Laid up from 5 January 2028: with 7 days' lead it is due on 29 December. */
  @Test
  void beforeALayUpItIsDueSoManyDaysAhead() {
    LayUp past = new LayUp(LocalDate.parse("2027-01-05"), LocalDate.parse("2027-01-31"));
    LayUp next = new LayUp(LocalDate.parse("2028-01-05"), LocalDate.parse("2028-01-31"));
    assertThat(layUp(past, next).plannedDate()).contains(LocalDate.parse("2027-12-29"));
    Due none = layUp(past);
    assertThat(none.plannedDate()).isEmpty();
    assertThat(none.flags()).contains(Due.Flag.NO_LAY_UP);
  }

  /**
   * Laid up from 5 to 31 January 2028: due on 1 February. What was done since the lay-up began
   * counts for it, what was done before does not.
   */
  @Test
  void afterALayUpItIsDueOnTheDayOfTheReturn() {
    LayUp next = new LayUp(LocalDate.parse("2028-01-05"), LocalDate.parse("2028-01-31"));
    Timing back = new Timing.AfterLayUp(List.of(next));
    assertThat(dueOf(back, "2028-01-04").calendarDate()).contains(LocalDate.parse("2028-02-01"));
    assertThat(dueOf(back, "2028-01-05").calendarDate()).isEmpty();
    assertThat(dueOf(back, "2028-01-05").flags()).contains(Due.Flag.NO_LAY_UP);
  }

  /** A class the product claims as a whole entry picks the interval; a part of a word does not. */
  @Test
  void theFluidInTheCompartmentPicksTheInterval() {
    Timing.ByInterval timed =
        new Timing.ByInterval(
            Optional.of(new MeterId(1)),
            every("250", 12),
            Optional.empty(),
            Severity.NONE,
            List.of(new Timing.FluidInterval("ACEA E8", every("400", 24))),
            Optional.empty());
    Task oil =
        new Task(
            new TaskId(1),
            "Service",
            "Oil",
            new Task.Action.ChangeFluid(new CompartmentId(7)),
            timed);
    assertThat(spanWith(oil, List.of("API CK-4", "acea e8"))).isEqualTo("400 h");
    assertThat(spanWith(oil, List.of("ACEA E8X"))).isEqualTo("250 h");
    assertThat(spanWith(oil, List.of())).isEqualTo("250 h");
  }

  /** 250 h: the maker's, shortened to 0.8 gives 200 h, severity 0.6 gives 150 h. */
  @Test
  void theStoresSchoolDecidesWhichIntervalIsInForce() {
    Task dusty =
        task(
            new TaskId(1),
            new Task.Action.ChangeFluid(new CompartmentId(7)),
            every("250", 12),
            Optional.empty(),
            "0.6");
    assertThat(limitUnder(Choice.of(School.MAKERS_INTERVAL), dusty)).isEqualTo("1,050 h");
    assertThat(limitUnder(Choice.of(School.SHORTENED, new BigDecimal("0.8")), dusty))
        .isEqualTo("1,000 h");
    assertThat(limitUnder(Choice.of(School.BY_SEVERITY), dusty)).isEqualTo("950 h");
  }

  @Test
  void withoutACalendarLimitMonthsCountOnlyWhereThereIsNoMeter() {
    IntervalPolicy policy = policy(Choice.of(School.MAKERS_INTERVAL), School.METER_ALONE);
    Task both = policy.applyTo(task(new TaskId(1), "250", 12));
    Task calendar = policy.applyTo(task(new TaskId(2), null, 12));
    assertThat(both.byInterval().orElseThrow().regular().months()).isEmpty();
    assertThat(calendar.byInterval().orElseThrow().regular().months()).contains(12);
  }

  /**
   * The first change at 50 h or 1 month, then every 250 h or 12 months; while ACEA E8 is in, 400 h.
   * Without calendar limits no month counts in any of them, and an interval of months alone for a
   * class says nothing any more.
   */
  @Test
  void withoutACalendarLimitNoOtherIntervalsMonthsCountEither() {
    Timing.ByInterval maker =
        new Timing.ByInterval(
            Optional.of(new MeterId(1)),
            every("250", 12),
            Optional.of(every("50", 1)),
            Severity.NONE,
            List.of(
                new Timing.FluidInterval("ACEA E8", every("400", 24)),
                new Timing.FluidInterval("ACEA E11", every(null, 6))),
            Optional.empty());
    Task task = new Task(new TaskId(1), "Oil", "Oil", new Task.Action.ChangeFluid(SUMP), maker);
    Timing.ByInterval timed =
        policy(Choice.of(School.MAKERS_INTERVAL), School.METER_ALONE)
            .applyTo(task)
            .byInterval()
            .orElseThrow();
    assertThat(timed.first()).contains(every("50", null));
    assertThat(timed.byFluid())
        .containsExactly(new Timing.FluidInterval("ACEA E8", every("400", null)));
  }

  /** Stated for the unit: 400 h. What the maker grants with ACEA E8, 750 h, does not touch it. */
  @Test
  void anIntervalStatedForAUnitHoldsWhateverFluidIsIn() {
    Timing.ByInterval maker =
        new Timing.ByInterval(
            Optional.of(new MeterId(1)),
            every("500", 12),
            Optional.of(every("50", null)),
            Severity.NONE,
            List.of(new Timing.FluidInterval("ACEA E8", every("750", 12))),
            Optional.empty());
    Task task = new Task(new TaskId(1), "Oil", "Oil", new Task.Action.ChangeFluid(SUMP), maker);
    Timing.ByInterval stated =
        task.withInterval(every("400", null))
            .byInterval()
            .orElseThrow()
            .whileIn(List.of("ACEA E8"));
    assertThat(stated.regular()).isEqualTo(every("400", null));
    assertThat(stated.first()).isEmpty();
  }

  /**
   * By rule on 25 March; moved to 10 April, and counted on from there: 1,130 h + 100 h, 30 April.
   */
  @Test
  void aMovedOccurrenceStaysOnItsDayAndTheNextCountsFromIt() {
    LocalDate moved = LocalDate.parse("2027-04-10");
    List<Occurrence> plan =
        OccurrencePlanner.plan(
            List.of(lead().movedTo(Optional.of(moved))), TODAY, LocalDate.parse("2027-05-05"));
    assertThat(daysOf(plan, new TaskId(1))).containsExactly("2027-04-10", "2027-04-30");
    Due due = plan.get(0).tasks().get(0).due();
    assertThat(due.cause()).contains(Due.Cause.MOVED);
    assertThat(due.byRule()).contains(LocalDate.parse("2027-03-25"));
  }

  /**
   * Moved to 10 April, the lead, every 100 h, lies 5 days and 25 h after 5 April: more than its
   * tenth, 10 h, so it stays, and what is due on 15 April joins 5 April, the earliest in reach.
   */
  @Test
  void aMovedTaskThatJoinsNoneIsJoinedOnItsNewDay() {
    TaskStanding other = done(task(new TaskId(2), null, 12), "2026-04-15", "0", OUTLOOK);
    TaskStanding early = done(task(new TaskId(3), null, 12), "2026-04-05", "0", OUTLOOK);
    TaskStanding moved = lead().movedTo(Optional.of(LocalDate.parse("2027-04-10")));
    List<Occurrence> plan =
        OccurrencePlanner.plan(List.of(early, moved, other), TODAY, LocalDate.parse("2027-04-20"));
    assertThat(plan.stream().map(o -> o.date().toString()))
        .containsExactly("2027-04-05", "2027-04-10");
    assertThat(daysOf(plan, new TaskId(2))).containsExactly("2027-04-05");
    assertThat(daysOf(plan, new TaskId(1))).containsExactly("2027-04-10");
  }

  /** By calendar alone, moved from 1 to 10 April, a task joins what is done on 5 April. */
  @Test
  void forJoiningAMovedTaskStandsOnItsNewDay() {
    TaskStanding early = done(task(new TaskId(3), null, 12), "2026-04-05", "0", OUTLOOK);
    TaskStanding moved =
        done(task(new TaskId(2), null, 12), "2026-04-01", "0", OUTLOOK)
            .movedTo(Optional.of(LocalDate.parse("2027-04-10")));
    List<Occurrence> plan =
        OccurrencePlanner.plan(List.of(early, moved), TODAY, LocalDate.parse("2027-04-20"));
    assertThat(daysOf(plan, new TaskId(2))).containsExactly("2027-04-05");
    assertThat(plan.get(0).tasks().get(1).pulledForward()).isTrue();
  }

  /** Moved past its limit it is overdue all the same. */
  @Test
  void aMoveDoesNotTouchTheLimits() {
    TaskStanding late =
        done(LEAD, "2026-12-01", "890", OUTLOOK)
            .movedTo(Optional.of(LocalDate.parse("2027-03-20")));
    Due due = DueRule.due(late, TODAY, UNTIL);
    assertThat(due.overdueRun().orElseThrow().display()).isEqualTo("10 h");
    assertThat(due.plannedDate()).contains(LocalDate.parse("2027-03-20"));
  }

  /** 2 replaced of 4 says nothing yet: 0.30. Of 5, (2 + 1) / (5 + 2) = 3/7, not rounded. */
  @Test
  void theReplacementChanceIsLearnedFromFiveInspectionsOn() {
    assertThat(new ReplacementChance(2, 4).value()).isEqualByComparingTo("0.30");
    assertThat(new ReplacementChance(2, 5).value().multiply(BigDecimal.valueOf(7)))
        .isCloseTo(BigDecimal.valueOf(3), within(new BigDecimal("1e-30")));
    assertThatThrownBy(() -> new ReplacementChance(6, 5)).hasMessageContaining("replaced is 6");
  }

  private static TaskStanding lead() {
    return done(LEAD, "2027-03-05", "950", OUTLOOK);
  }

  private static TaskStanding led(int nth, int leadsDone) {
    Task task =
        new Task(
            new TaskId(2),
            "Large",
            "Large",
            new Task.Action.ChangeFluid(new CompartmentId(7)),
            new Timing.EveryNth(new TaskId(1), nth));
    return new TaskStanding(
        task,
        Origin.startOfService(LocalDate.parse("2026-01-01"), Optional.empty()),
        Optional.empty(),
        leadsDone,
        Optional.empty());
  }

  private static List<String> daysOf(List<Occurrence> plan, TaskId taskId) {
    return plan.stream()
        .filter(o -> o.tasks().stream().anyMatch(task -> task.task().id().equals(taskId)))
        .map(o -> o.date().toString())
        .toList();
  }

  private static Due seasonal(String lastDone) {
    Timing timing = new Timing.BeforeSeason(MonthDay.of(4, 1), 14);
    return dueOf(timing, lastDone);
  }

  private static Due layUp(LayUp... layUps) {
    return dueOf(new Timing.BeforeLayUp(7, List.of(layUps)), "2026-12-20");
  }

  private static Due dueOf(Timing timing, String lastDone) {
    Task task =
        new Task(
            new TaskId(1),
            "Season",
            "Season",
            new Task.Action.ChangeFluid(new CompartmentId(7)),
            timing);
    return DueRule.due(
        new TaskStanding(
            task, Origin.done(LocalDate.parse(lastDone), Optional.empty()), Optional.empty()),
        TODAY,
        UNTIL);
  }

  private static String spanWith(Task task, List<String> classes) {
    UnitFacts facts = new UnitFacts(List.of(), Map.of(new CompartmentId(7), classes));
    Timing.ByInterval timed =
        facts.applyTo(task, new UnitNeeds(List.of(), List.of())).byInterval().orElseThrow();
    return timed.spanInForce(timed.regular()).orElseThrow().display();
  }

  private static IntervalPolicy policy(Choice interval, School calendar) {
    return new IntervalPolicy(
        new InForce(interval, Holder.Level.STORE),
        new InForce(Choice.of(calendar), Holder.Level.STORE));
  }

  private static String limitUnder(Choice interval, Task task) {
    IntervalPolicy policy = policy(interval, School.WITH_CALENDAR_LIMIT);
    TaskStanding standing = neverDone(policy.applyTo(task), "2026-06-01", "800", OUTLOOK);
    return DueRule.due(standing, TODAY, UNTIL).limit().map(MeterValue::display).orElse("");
  }
}

package dev.lonja.core.service;

import static dev.lonja.core.service.Services.done;
import static dev.lonja.core.service.Services.task;
import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.meter.Fleets;
import dev.lonja.core.meter.MeterOutlook;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;

/** All on one unit that runs 10 h a day and stands at 1,000 h on 15 March 2027. */
class OccurrencePlannerTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final MeterOutlook OUTLOOK = Fleets.steady("2027-03-15", "1000", "10");

  /** 250 h from 800 h: 1,050 h after 5 days; then every 25 days. */
  @Test
  void theNextCountsFromThePlannedDateAndTheLifeExpectedThen() {
    assertThat(
            plan(
                "2027-05-31", done(task(new TaskId(1), "250", null), "2027-02-01", "800", OUTLOOK)))
        .isEqualTo("03-20:1 04-14:1 05-09:1");
  }

  /**
   * 10 h at 0.333 h a day are 31 days: after 31 days the meter is expected at 10.323 h, after 62 at
   * 20.646 h, after 93 at 30.969 h, each the first day that is 10 h past the one before. Were
   * 10.323 h cut to what the meter shows, 20.313 h on day 61 would do.
   */
  @Test
  void whatIsExpectedBetweenTwoPlannedDaysIsNotRounded() {
    MeterOutlook slow = Fleets.steady("2027-03-15", "0", "0.333");
    assertThat(plan("2027-06-30", done(task(new TaskId(1), "10", null), "2027-03-15", "0", slow)))
        .isEqualTo("04-15:1 05-16:1 06-16:1");
  }

  /** One month from 31 January is 28 February, long past: done today, then from today. */
  @Test
  void anOverdueOneIsDoneTodayAndCountsFromToday() {
    assertThat(plan("2027-05-31", done(task(new TaskId(1), null, 1), "2027-01-31", "0", OUTLOOK)))
        .isEqualTo("03-15:1 04-15:1 05-15:1");
  }

  /**
   * Task 1 at 1,050 h on 20 March. Task 2, every 500 h, at 1,100 h on 25 March: 5 days and 50 h
   * later, exactly a tenth of its interval, so it joins. Task 3, every 499 h, is 50 h later too,
   * but a tenth is 49.9 h, so it waits.
   */
  @Test
  void joinsWithinATenthOfTheIntervalOnTheDot() {
    TaskStanding first = done(task(new TaskId(1), "250", null), "2027-02-01", "800", OUTLOOK);
    TaskStanding second = done(task(new TaskId(2), "500", null), "2027-02-01", "600", OUTLOOK);
    TaskStanding third = done(task(new TaskId(3), "499", null), "2027-02-01", "601", OUTLOOK);
    assertThat(plan("2027-04-10", first, second)).isEqualTo("03-20:1,2+");
    assertThat(plan("2027-04-10", first, third)).isEqualTo("03-20:1 03-25:3");
  }

  /** By calendar only: due 3 April, 14 days after 20 March, joins; 4 April does not. */
  @Test
  void joinsWithinFourteenDays() {
    TaskStanding first = done(task(new TaskId(1), "250", null), "2027-02-01", "800", OUTLOOK);
    assertThat(
            plan(
                "2027-04-10",
                first,
                done(task(new TaskId(2), null, 6), "2026-10-03", "0", OUTLOOK)))
        .isEqualTo("03-20:1,2+");
    assertThat(
            plan(
                "2027-04-10",
                first,
                done(task(new TaskId(2), null, 6), "2026-10-04", "0", OUTLOOK)))
        .isEqualTo("03-20:1 04-04:2");
  }

  /**
   * 1 is due 20 March, 2 on 1 April joins it. 3 is due 10 April: within 14 days of 2's own date,
   * but 2 was pulled forward and pulls no other; 20 March is 21 days before.
   */
  @Test
  void whatWasPulledForwardPullsNoOther() {
    TaskStanding first = done(task(new TaskId(1), "250", null), "2027-02-01", "800", OUTLOOK);
    TaskStanding second = done(task(new TaskId(2), null, 12), "2026-04-01", "0", OUTLOOK);
    TaskStanding third = done(task(new TaskId(3), null, 12), "2026-04-10", "0", OUTLOOK);
    assertThat(plan("2027-04-12", first, second, third)).isEqualTo("03-20:1,2+ 04-10:3");
  }

  /** What was pulled forward to 20 March counts from there: three months on, 20 June. */
  @Test
  void whatWasPulledForwardCountsFromTheDayItIsDone() {
    TaskStanding first = done(task(new TaskId(1), null, 12), "2026-03-20", "0", OUTLOOK);
    TaskStanding second = done(task(new TaskId(2), null, 3), "2027-01-01", "0", OUTLOOK);
    assertThat(plan("2027-07-01", first, second)).isEqualTo("03-20:1,2+ 06-20:2");
  }

  /** The horizon ends on 20 March; task 2 is due on 25 March and still joins. */
  @Test
  void whatFallsDueJustAfterTheHorizonStillJoins() {
    TaskStanding first = done(task(new TaskId(1), "250", null), "2027-02-01", "800", OUTLOOK);
    TaskStanding second = done(task(new TaskId(2), "500", null), "2027-02-01", "600", OUTLOOK);
    assertThat(plan("2027-03-20", first, second)).isEqualTo("03-20:1,2+");
    assertThat(plan("2027-03-19", first, second)).isEmpty();
  }

  /**
   * Alone both would be due on 20 March, and task 1 every 25 days from there. A tray laid for 18
   * March stands for task 1: it is expected then, counts on from there (12 April), and task 2,
   * which is not on the tray, keeps its own day.
   */
  @Test
  void aTrayStandsForTheNextOccurrenceOfItsTasks() {
    TaskStanding first = done(task(new TaskId(1), "250", null), "2027-02-01", "800", OUTLOOK);
    TaskStanding second = done(task(new TaskId(2), null, 12), "2026-03-20", "0", OUTLOOK);
    InHand laid = laidFor("2027-03-18", false, 1);
    assertThat(plan("2027-04-13", first, second)).isEqualTo("03-20:1,2");
    assertThat(plan("2027-04-13", List.of(laid), first, second))
        .isEqualTo("03-18:1+ 03-20:2 04-12:1");
  }

  /** Laid for 10 March, which is past, or out: the work is expected today, 15 March. */
  @Test
  void whatIsLateOrOutIsExpectedToday() {
    TaskStanding first = done(task(new TaskId(1), "250", null), "2027-02-01", "800", OUTLOOK);
    assertThat(plan("2027-04-10", List.of(laidFor("2027-03-10", false, 1)), first))
        .isEqualTo("03-15:1+ 04-09:1");
    assertThat(plan("2027-04-10", List.of(laidFor("2027-03-24", true, 1)), first))
        .isEqualTo("03-15:1+ 04-09:1");
  }

  /**
   * Task 2 comes along at every 2nd time of task 1 and was left once. On the tray both: from 15
   * March task 1 every 25 days, and task 2 with its second time after that.
   */
  @Test
  void whatComesAlongOnTheTrayCountsFromIt() {
    TaskStanding lead = done(task(new TaskId(1), "250", null), "2027-02-01", "800", OUTLOOK);
    TaskStanding led =
        new TaskStanding(
            Services.everyNth(new TaskId(2), new TaskId(1), 2),
            Origin.done(LocalDate.parse("2027-01-01"), Optional.empty()),
            Optional.empty(),
            1,
            Optional.empty());
    assertThat(plan("2027-05-10", List.of(laidFor("2027-03-15", true, 1, 2)), lead, led))
        .isEqualTo("03-15:1+,2 04-09:1 05-04:1,2");
    assertThat(plan("2027-05-10", List.of(laidFor("2027-03-15", true, 1)), lead, led))
        .isEqualTo("03-15:1+ 03-15:2 04-09:1 05-04:1,2");
  }

  private static InHand laidFor(String day, boolean out, long... tasks) {
    return new InHand(
        LongStream.of(tasks).mapToObj(TaskId::new).collect(Collectors.toSet()),
        LocalDate.parse(day),
        out);
  }

  @Test
  void itsTitleNamesEachServiceOnce() {
    List<Occurrence> occurrences =
        OccurrencePlanner.plan(
            List.of(
                done(task(new TaskId(1), "250", null), "2027-02-01", "800", OUTLOOK),
                done(task(new TaskId(2), "500", null), "2027-02-01", "600", OUTLOOK)),
            TODAY,
            LocalDate.parse("2027-03-31"));
    assertThat(occurrences.get(0).title()).isEqualTo("Service 1 + Service 2");
  }

  /** "03-20:1,2+": on 20 March tasks 1 and 2, the latter pulled forward. */
  /** Task 1 sets the day, but task 2, one month from 31 January, is overdue: it leads. */
  @Test
  void whatIsOverdueLeadsItsOccurrence() {
    TaskStanding today = done(task(new TaskId(1), "200", null), "2027-02-01", "800", OUTLOOK);
    TaskStanding late = done(task(new TaskId(2), null, 1), "2027-01-31", "0", OUTLOOK);
    TaskStanding coming = done(task(new TaskId(3), "250", null), "2027-02-01", "800", OUTLOOK);
    assertThat(leading(today, late)).isEqualTo(new TaskId(2));
    assertThat(leading(coming)).isEqualTo(new TaskId(3));
  }

  private static TaskId leading(TaskStanding... standings) {
    return OccurrencePlanner.plan(List.of(standings), TODAY, LocalDate.parse("2027-05-31"))
        .get(0)
        .leading()
        .task()
        .id();
  }

  private static String plan(String until, TaskStanding... standings) {
    return plan(until, List.of(), standings);
  }

  private static String plan(String until, List<InHand> inHand, TaskStanding... standings) {
    return OccurrencePlanner.plan(List.of(standings), inHand, TODAY, LocalDate.parse(until))
        .stream()
        .map(
            occurrence ->
                occurrence.date().toString().substring(5)
                    + ":"
                    + occurrence.tasks().stream()
                        .map(task -> task.task().id() + (task.pulledForward() ? "+" : ""))
                        .collect(Collectors.joining(",")))
        .collect(Collectors.joining(" "));
  }
}

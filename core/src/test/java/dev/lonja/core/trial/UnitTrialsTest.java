package dev.lonja.core.trial;

import static dev.lonja.core.service.Services.FILTER;
import static dev.lonja.core.service.Services.FILTER_POSITION;
import static dev.lonja.core.service.Services.OIL;
import static dev.lonja.core.service.Services.SUMP;
import static dev.lonja.core.service.Services.done;
import static dev.lonja.core.service.Services.everyNth;
import static dev.lonja.core.service.Services.task;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.forecast.TrayHold;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.inspection.ReplacementOdds;
import dev.lonja.core.inspection.ReplacementTurn;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.meter.Fleets;
import dev.lonja.core.meter.MeterOutlook;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.place.Place;
import dev.lonja.core.pour.TopUpUse;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.InHand;
import dev.lonja.core.service.Services;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.core.take.KitShelf;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.apache.commons.statistics.distribution.GammaDistribution;
import org.junit.jupiter.api.Test;

/**
 * Trials of one unit from Monday 15 March 2027. Where a meter runs 10 h a day nearly without chance
 * (φ 0.1 h) from 1,000 h today, it stands at 1,060 h on the first Sunday, then 70 h more each week,
 * give or take 3 h a week: limits that lie 20 h away from that are crossed in the same week always.
 */
class UnitTrialsTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final int WEEKS = 7;
  private static final int TRIALS = 200;
  private static final MeterOutlook EVEN = Fleets.uneven("2027-03-15", "1000", "10", 0.1);
  private static final Task CHANGE_OIL =
      task(new TaskId(1), new Task.Action.ChangeFluid(SUMP), "250", null);
  private static final Position AIR =
      Services.place(50, Position.Kind.AIR_FILTER, Optional.empty());
  private static final ItemId AIR_FILTER = new ItemId(1_050);
  private static final UnitNeeds NEEDS =
      new UnitNeeds(
          List.of(
              Services.sump(
                  Map.of(
                      FillCondition.WITH_FILTER,
                      Volume.ofLitres("6.4"),
                      FillCondition.WITHOUT_FILTER,
                      Volume.ofLitres("6")))),
          List.of(Services.filter(Optional.empty()), AIR));

  private static Task changeFilter(String hours) {
    return task(new TaskId(2), new Task.Action.Replace(FILTER_POSITION), hours, null);
  }

  private static Task look(ReplacementOdds odds, String hours, Integer months) {
    return task(new TaskId(3), new Task.Action.Inspect(AIR.id(), odds), hours, months);
  }

  private static TrialUnit unit(TaskStanding... tasks) {
    return new TrialUnit(
        new UnitId(7),
        Place.MAIN,
        Optional.empty(),
        NEEDS,
        List.of(tasks),
        List.of(),
        List.of(),
        Map.of(),
        KitShelf.NONE);
  }

  private static TrialUnit onTray(boolean out, Map<ItemId, Quantity> laid, TaskStanding... tasks) {
    TrialUnit unit = unit(tasks);
    Set<TaskId> first = Set.of(tasks[0].task().id());
    return new TrialUnit(
        unit.id(),
        unit.home(),
        unit.lastDay(),
        unit.needs(),
        unit.tasks(),
        List.of(new InHand(first, TODAY.plusDays(9), out)),
        List.of(new TrayHold(unit.id(), first, laid)),
        unit.topUps(),
        unit.kits());
  }

  private static TrialTotals totals(TrialUnit unit, int trials, int weeks) {
    TrialRules rules = new TrialRules(42, trials, TODAY, weeks);
    TrialTotals totals = new TrialTotals(rules);
    new UnitTrials(unit, rules).draw(0, trials, totals);
    return totals;
  }

  /** What every one of the trials uses in each week, in thousandths; it has to be the same. */
  private static Map<Integer, Long> always(TrialUnit unit, ItemId item) {
    TrialRules rules = new TrialRules(42, TRIALS, TODAY, WEEKS);
    List<Map<Integer, Long>> seen = new ArrayList<>();
    for (int trial = 0; trial < TRIALS; trial++) {
      seen.add(new TreeMap<>());
    }
    new UnitTrials(unit, rules)
        .draw(
            0,
            TRIALS,
            (used, trial, week, amount) -> {
              if (used.equals(item)) {
                seen.get(trial).merge(week, amount, Long::sum);
              }
            });
    assertThat(seen).allMatch(seen.get(0)::equals);
    return seen.get(0);
  }

  /**
   * Oil last at 800 h: at 1,050, 1,300 and 1,550 h, in the weeks 0 and 4 (1,340 h), the third on
   * the last Sunday of week 7. The filter would be due at 1,080 h in week 1; at the end of week 0
   * it has 20 of its 500 h left, which is less than a tenth and than a fortnight of 140 h, so it
   * joins, and the fill is one with filter: 6.4 × 1.02 L, then 6 × 1.02 L without.
   */
  @Test
  void whatIsCloseJoinsAndTheFillFollows() {
    TaskStanding oil = done(CHANGE_OIL, "2027-01-01", "800", EVEN);
    TaskStanding filter = done(changeFilter("500"), "2026-12-01", "580", EVEN);
    assertThat(always(unit(oil, filter), OIL)).isEqualTo(Map.of(0, 6_528L, 4, 6_120L));
    assertThat(always(unit(oil, filter), FILTER)).isEqualTo(Map.of(0, 1_000L));
    // with 60 h left of 500 it comes by itself in week 1, and alone
    TaskStanding later = done(changeFilter("500"), "2026-12-01", "620", EVEN);
    assertThat(always(unit(oil, later), OIL)).isEqualTo(Map.of(0, 6_120L, 4, 6_120L));
    assertThat(always(unit(oil, later), FILTER)).isEqualTo(Map.of(1, 1_000L));
  }

  /** Half a year after 1 October is Thursday 1 April, in week 2, whatever the meter does. */
  @Test
  void monthsBringItAtTheLatest() {
    TaskStanding yearly = done(look(new ReplacementTurn(2, 1), null, 6), "2026-10-01", "0", EVEN);
    assertThat(always(unit(yearly), AIR_FILTER)).isEqualTo(Map.of(2, 1_000L));
    // past since January: in the first week, and the meter counts on from its end
    TaskStanding both =
        done(
            task(new TaskId(2), new Task.Action.Replace(FILTER_POSITION), "300", 6),
            "2026-07-15",
            "900",
            EVEN);
    assertThat(always(unit(both), FILTER)).isEqualTo(Map.of(0, 1_000L, 5, 1_000L));
  }

  /** Limits at 1,005 and 1,035 h lie before 1,060 h, and what is left over carries on. */
  @Test
  void everyLimitThatIsCrossedCounts() {
    TaskStanding often = done(changeFilter("30"), "2027-03-14", "975", EVEN);
    Band band = totals(unit(often), TRIALS, 2).band(List.of(FILTER), Measure.PIECES);
    assertThat(band.quantile(0, 0.05)).isEqualTo(Quantity.pieces(2));
    assertThat(band.quantile(0, 0.95)).isEqualTo(Quantity.pieces(2));
    // 1,065, 1,095 and 1,125 h, of which the meter at 1,130 h misses the last at times
    assertThat(band.quantile(1, 0.5)).isEqualTo(Quantity.pieces(5));
  }

  /** With every second oil change: one was done since, so the first to come brings it along. */
  @Test
  void whatAnotherTaskLeadsComesAlong() {
    TaskStanding oil = done(CHANGE_OIL, "2027-01-01", "800", EVEN);
    Task led =
        new Task(
            new TaskId(3),
            "Filter",
            "Filter",
            new Task.Action.Replace(FILTER_POSITION),
            everyNth(new TaskId(3), CHANGE_OIL.id(), 2).timing());
    TaskStanding once = new TaskStanding(led, oil.origin(), Optional.empty(), 1, Optional.empty());
    assertThat(always(unit(oil, once), FILTER)).isEqualTo(Map.of(0, 1_000L));
    TaskStanding never = new TaskStanding(led, oil.origin(), Optional.empty(), 0, Optional.empty());
    assertThat(always(unit(oil, never), FILTER)).isEqualTo(Map.of(4, 1_000L));
  }

  /** Moved to Friday 2 April, in week 2 at 1,200 h; the next counts from there, at 1,450 h. */
  @Test
  void whatAPersonMovedStandsOnItsDay() {
    TaskStanding oil =
        done(CHANGE_OIL, "2027-01-01", "800", EVEN)
            .movedTo(Optional.of(LocalDate.parse("2027-04-02")));
    assertThat(always(unit(oil), OIL)).isEqualTo(Map.of(2, 6_120L, 6, 6_120L));
  }

  /**
   * A tray for Wednesday of next week is the next time of its task: week 1, at 1,130 h, and again
   * at 1,380 h in week 5. It holds 6 L of the 6.12; handed over it takes nothing more.
   */
  @Test
  void aTrayStandsForTheNextTimeOfItsTasks() {
    TaskStanding oil = done(CHANGE_OIL, "2027-01-01", "800", EVEN);
    Map<ItemId, Quantity> laid = Map.of(OIL, Quantity.litres("6"));
    assertThat(always(onTray(false, laid, oil), OIL)).isEqualTo(Map.of(1, 120L, 5, 6_120L));
    // out, the work is expected today: week 0 at 1,060 h, then 1,310 h in week 4
    assertThat(always(onTray(true, Map.of(), oil), OIL)).isEqualTo(Map.of(4, 6_120L));
  }

  /** Cleaned once since the last new one, every third look brings a new one: the second to come. */
  @Test
  void aPartThatIsReplacedEveryThirdTime() {
    // looks at 1,040, 1,180 and 1,320 h: weeks 0, 2 and 4
    TaskStanding once =
        done(look(new ReplacementTurn(3, 1), "140", null), "2027-03-14", "900", EVEN);
    assertThat(always(unit(once), AIR_FILTER)).isEqualTo(Map.of(2, 1_000L));
    TaskStanding fresh =
        done(look(new ReplacementTurn(3, 0), "140", null), "2027-03-14", "900", EVEN);
    assertThat(always(unit(fresh), AIR_FILTER)).isEqualTo(Map.of(4, 1_000L));
  }

  /** Nothing is used once the unit has left: its last day is in week 3, before 1,300 h. */
  @Test
  void aUnitThatLeavesUsesNothingAfterwards() {
    TrialUnit stays = unit(done(CHANGE_OIL, "2027-01-01", "800", EVEN));
    TrialUnit leaves =
        new TrialUnit(
            stays.id(),
            stays.home(),
            Optional.of(LocalDate.parse("2027-04-08")),
            stays.needs(),
            stays.tasks(),
            List.of(),
            List.of(),
            Map.of(),
            KitShelf.NONE);
    assertThat(always(leaves, OIL)).isEqualTo(Map.of(0, 6_120L));
  }

  /**
   * A unit at 1,585 h with an interval of 250 h, last at 1,410 h and 3.5 h a day: 75 h are left.
   * Occurrences up to the end of a week are the sum over n of the chance that a Gamma of that time
   * reaches 75 + 250 n, mean 3.5 τ and φ 6 h.
   */
  @Test
  void theMeanIsTheExactExpectation() {
    MeterOutlook uneven = Fleets.uneven("2027-03-15", "1585", "3.5", 6);
    TaskStanding filter = done(changeFilter("250"), "2027-01-20", "1410", uneven);
    double[][] seen = means(unit(filter), 26);
    for (int week : new int[] {2, 4, 12, 25}) {
      double mean = 3.5 * (6 + 7 * week);
      double exact = 0;
      for (int n = 0; n < 20; n++) {
        exact += GammaDistribution.of(mean / 6, 6).survivalProbability(75 + 250 * n);
      }
      assertThat(seen[week][0]).as("week " + week).isCloseTo(exact, within(4 * seen[week][1]));
    }
  }

  /**
   * Last read four weeks ago at 1,600 h, expected at 1,698 h today, due at 1,650 h: once today, and
   * then whenever a Gamma since the reading reaches 98 + 250 n, n from 1 on.
   */
  @Test
  void whatIsOverdueComesTodayAndCountsFromWhatIsExpected() {
    MeterOutlook uneven = Fleets.uneven("2027-02-15", "1600", "3.5", 6);
    TaskStanding filter = done(changeFilter("250"), "2026-11-20", "1400", uneven);
    double[][] seen = means(unit(filter), 26);
    for (int week : new int[] {0, 8, 16, 25}) {
      double mean = 3.5 * (28 + 6 + 7 * week);
      double exact = 1;
      for (int n = 1; n < 20; n++) {
        exact += GammaDistribution.of(mean / 6, 6).survivalProbability(98 + 250 * n);
      }
      assertThat(seen[week][0])
          .as("week " + week)
          .isCloseTo(exact, within(4 * seen[week][1] + 1e-6));
    }
  }

  /** By week, the mean of what is used up to its end, in pieces, and the error of that mean. */
  private static double[][] means(TrialUnit unit, int weeks) {
    int trials = 20_000;
    double[][] used = new double[trials][weeks];
    new UnitTrials(unit, new TrialRules(7, trials, TODAY, weeks))
        .draw(0, trials, (item, trial, week, amount) -> used[trial][week] += amount / 1_000.0);
    double[][] means = new double[weeks][2];
    double[] up = new double[trials];
    for (int week = 0; week < weeks; week++) {
      double sum = 0;
      double squares = 0;
      for (int trial = 0; trial < trials; trial++) {
        up[trial] += used[trial][week];
        sum += up[trial];
        squares += up[trial] * up[trial];
      }
      double mean = sum / trials;
      means[week][0] = mean;
      means[week][1] = Math.sqrt(Math.max(0, squares / trials - mean * mean) / trials);
    }
    return means;
  }

  /** 0.30 of the looks end in a new part: of 2,000 trials with one look each, 600 ± 4 × 20.5. */
  @Test
  void inspectionsEndByChance() {
    TaskStanding looks = done(look(ReplacementChance.UNKNOWN, null, 6), "2026-10-01", "0", EVEN);
    double[][] seen = means(unit(looks), 4);
    assertThat(seen[1][0]).isZero();
    assertThat(seen[2][0]).isCloseTo(0.30, within(4 * Math.sqrt(0.3 * 0.7 / 20_000)));
  }

  /** Drawn in two parts by two others it is the same, with another seed it is not. */
  @Test
  void theSeedSaysItAll() {
    MeterOutlook uneven = Fleets.uneven("2027-03-15", "1585", "3.5", 20);
    TrialUnit unit =
        unit(
            done(changeFilter("90"), "2027-01-20", "1510", uneven),
            done(look(ReplacementChance.UNKNOWN, "60", null), "2027-01-20", "1540", uneven));
    TrialRules rules = new TrialRules(42, TRIALS, TODAY, WEEKS);
    TrialTotals parts = new TrialTotals(rules);
    new UnitTrials(unit, rules).draw(90, TRIALS, parts);
    new UnitTrials(unit, rules).draw(0, 90, parts);
    TrialTotals whole = totals(unit, TRIALS, WEEKS);
    TrialTotals other = new TrialTotals(new TrialRules(43, TRIALS, TODAY, WEEKS));
    new UnitTrials(unit, other.rules()).draw(0, TRIALS, other);
    for (ItemId item : List.of(FILTER, AIR_FILTER)) {
      assertThat(cells(parts, item)).isEqualTo(cells(whole, item));
      assertThat(cells(other, item)).isNotEqualTo(cells(whole, item));
    }
  }

  private static List<Quantity> cells(TrialTotals totals, ItemId item) {
    Band band = totals.band(List.of(item), Measure.PIECES);
    List<Quantity> all = new ArrayList<>();
    for (int week = 0; week < band.weeks(); week++) {
      for (int percent = 1; percent <= 100; percent++) {
        all.add(band.quantile(week, percent / 100.0));
      }
    }
    return all;
  }

  /** 4 h a day at 0.25 L each 100 h: in 6 and 7 days 60 and 70 mL, times what the meter runs. */
  @Test
  void whatIsAddedBetweenServicesFollowsTheMeter() {
    MeterStanding meter = Services.meterAt("2027-03-15", "1000", "4");
    TopUpUse use = new TopUpUse(Volume.ofLitres("0.25"), MeterSpan.ofHours("100"), meter, 0);
    TrialUnit bare = unit();
    TrialUnit unit =
        new TrialUnit(
            bare.id(),
            bare.home(),
            bare.lastDay(),
            bare.needs(),
            List.of(),
            List.of(),
            List.of(),
            Map.of(NEEDS.compartment(SUMP), use),
            KitShelf.NONE);
    double[][] seen = means(unit, 3);
    assertThat(seen[0][0]).isCloseTo(0.06, within(4 * seen[0][1] + 0.0005));
    assertThat(seen[2][0]).isCloseTo(0.20, within(4 * seen[2][1] + 0.001));
    assertThat(seen[0][1]).isPositive();
  }
}

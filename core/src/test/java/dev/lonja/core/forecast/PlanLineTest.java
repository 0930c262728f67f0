package dev.lonja.core.forecast;

import static dev.lonja.core.service.Services.FILTER;
import static dev.lonja.core.service.Services.FILTER_POSITION;
import static dev.lonja.core.service.Services.OIL;
import static dev.lonja.core.service.Services.SUMP;
import static dev.lonja.core.service.Services.done;
import static dev.lonja.core.service.Services.task;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.meter.Fleets;
import dev.lonja.core.meter.MeterOutlook;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.InHand;
import dev.lonja.core.service.OccurrencePlanner;
import dev.lonja.core.service.Services;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.wanted.Wanted;
import dev.lonja.core.wanted.WantedPart;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/**
 * One unit at 1,000 h on Monday 15 March 2027 that runs 10 h a day: oil and filter every 250 h,
 * last at 800 h, so due after 5, 30 and 55 days: 20 March (week 11), 14 April (15) and 9 May (18,
 * the eighth week). It takes 6.40 L with filter, 6.528 L with the loss.
 */
class PlanLineTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final MeterOutlook OUTLOOK = Fleets.steady("2027-03-15", "1000", "10");
  private static final Task OIL_CHANGE =
      task(new TaskId(1), new Task.Action.ChangeFluid(SUMP), "250", null);
  private static final Task FILTER_CHANGE =
      task(new TaskId(2), new Task.Action.Replace(FILTER_POSITION), "250", null);
  private static final UnitNeeds NEEDS =
      new UnitNeeds(
          List.of(Services.sump(Map.of(FillCondition.WITH_FILTER, Volume.ofLitres("6.4")))),
          List.of(Services.filter(Optional.empty())));

  @Test
  void sumsEachItemByIsoWeek() {
    PlanLine plan = plan(List.of(), 7);
    assertThat(plan.totals().get(OIL))
        .isEqualTo(weeks("2027-03-15", "6.528", "2027-04-12", "6.528"));
    assertThat(plan.totals().get(FILTER).values())
        .containsExactly(Quantity.pieces(1), Quantity.pieces(1));
    assertThat(plan(List.of(), 8).totals().get(OIL)).hasSize(3);
  }

  @Test
  void drillDownLinesAddUpExactly() {
    PlanLine plan = plan(List.of(), 7);
    Quantity sum =
        plan.demandsOf(OIL).stream()
            .map(Demand::quantity)
            .reduce(Quantity.litres("0"), Quantity::plus);
    assertThat(sum).isEqualTo(Quantity.litres("13.056"));
    ServiceDemand first = (ServiceDemand) plan.demandsOf(OIL).get(0);
    assertThat(first.unitCode()).contains("FL-9");
    assertThat(first.service()).isEqualTo("Service 1 + Service 2");
    assertThat(first.date()).isEqualTo(LocalDate.parse("2027-03-20"));
  }

  /** The whole 6.40 L are laid: 6.528 − 6.4 = 0.128 L of loss stay in the forecast. */
  @Test
  void whatATrayHoldsIsTakenOffThatOccurrenceOnly() {
    TrayHold hold =
        new TrayHold(
            new UnitId(7),
            Set.of(new TaskId(1), new TaskId(2)),
            Map.of(OIL, Quantity.litres("6.4"), FILTER, Quantity.pieces(1)));
    PlanLine plan = plan(List.of(hold), 7);
    assertThat(plan.totals().get(OIL))
        .isEqualTo(weeks("2027-03-15", "0.128", "2027-04-12", "6.528"));
    assertThat(plan.totals().get(FILTER).keySet())
        .containsExactly(IsoWeek.of(LocalDate.parse("2027-04-12")));
    assertThat(plan.demandsOf(FILTER)).hasSize(2);
  }

  /** The tray is out: the first occurrence takes nothing more, the second all of its own. */
  @Test
  void whatIsOutTakesNothingMore() {
    InHand out = new InHand(Set.of(new TaskId(1), new TaskId(2)), TODAY, true);
    UnitPlan unit = unit(List.of(out), 7);
    assertThat(unit.occurrences().get(0).date()).isEqualTo(TODAY);
    PlanLine plan = PlanLine.of(List.of(unit), List.of(), TODAY, 7);
    assertThat(plan.demandsOf(FILTER)).hasSize(1);
    assertThat(((ServiceDemand) plan.demandsOf(FILTER).get(0)).repeat()).isEqualTo(1);
  }

  @Test
  void aHalfLaidTrayTakesOffWhatItHolds() {
    TrayHold hold =
        new TrayHold(new UnitId(7), Set.of(new TaskId(1)), Map.of(OIL, Quantity.litres("2")));
    assertThat(plan(List.of(hold), 7).demandsOf(OIL).get(0).quantity())
        .isEqualTo(Quantity.litres("4.528"));
  }

  /** Tasks belong to a variant: a tray for another unit of it holds nothing for this one. */
  @Test
  void aTrayForAnotherUnitTakesNothingOff() {
    TrayHold other =
        new TrayHold(new UnitId(8), Set.of(new TaskId(1)), Map.of(OIL, Quantity.litres("2")));
    assertThat(plan(List.of(other), 7).demandsOf(OIL).get(0).quantity())
        .isEqualTo(Quantity.litres("6.528"));
  }

  /**
   * One filter was left out last time and is wanted by itself, today: the occurrence of 20 March
   * asks for none, so the two weeks hold one each as before, a week earlier.
   */
  @Test
  void whatWasLeftOutAndIsWantedIsNotForecastTwice() {
    WantedPart part =
        Wanted.leftOut(FILTER, Quantity.pieces(1), Optional.of(new TaskId(2)), Optional.empty());
    TrayHold asked =
        new TrayHold(new UnitId(7), Set.of(new TaskId(2)), Map.of(FILTER, Quantity.pieces(1)));
    PlanLine plan =
        PlanLine.ofDemand(
            List.of(UnitDemand.of(unit(List.of(), 7))),
            new PlanLine.Beside(List.of(asked), List.of(CertainDemand.of(part, TODAY)), List.of()),
            TODAY,
            7);
    assertThat(
            plan.demandsOf(FILTER).stream()
                .filter(demand -> demand.quantity().isPositive())
                .map(Demand::date))
        .containsExactly(TODAY, LocalDate.parse("2027-04-14"));
  }

  /** Three weeks from Monday 15 March end on Sunday 4 April. */
  @Test
  void whatIsWantedAfterTheHorizonIsLeftAside() {
    List<CertainDemand> wanted =
        List.of(
            CertainDemand.of(
                Wanted.asked(FILTER, Quantity.pieces(2), Optional.of("2027-04-04")), TODAY),
            CertainDemand.of(
                Wanted.asked(FILTER, Quantity.pieces(4), Optional.of("2027-04-05")), TODAY));
    PlanLine plan =
        PlanLine.ofDemand(List.of(), new PlanLine.Beside(List.of(), wanted, List.of()), TODAY, 3);
    assertThat(plan.demandsOf(FILTER))
        .extracting(Demand::quantity)
        .containsExactly(Quantity.pieces(2));
  }

  /** 7.000 L free: the first 6.528 L are covered, the second lot on 14 April is not. */
  @Test
  void coverEndsOnTheFirstDayThatStockDoesNotReach() {
    Cover cover =
        Cover.of(Quantity.litres("7"), List.of(), plan(List.of(), 7).demandsOf(OIL), TODAY);
    assertThat(cover.shortOn()).contains(LocalDate.parse("2027-04-14"));
    assertThat(cover.days()).contains(30L);
    assertThat(cover.lacking()).isEqualTo(Quantity.litres("6.056"));
  }

  @Test
  void stockThatIsUsedUpExactlyCovers() {
    List<Demand> demands = plan(List.of(), 7).demandsOf(OIL);
    assertThat(Cover.of(Quantity.litres("13.056"), List.of(), demands, TODAY).shortOn()).isEmpty();
    assertThat(Cover.of(Quantity.litres("13.055999"), List.of(), demands, TODAY).shortOn())
        .contains(LocalDate.parse("2027-04-14"));
  }

  @Test
  void theHorizonEndsOnASunday() {
    assertThat(PlanLine.lastDay(LocalDate.parse("2027-03-17"), 1))
        .isEqualTo(LocalDate.parse("2027-03-21"));
    assertThat(plan(List.of(), 2).horizon().get(1).display()).isEqualTo("2027-W12");
    assertThatThrownBy(() -> plan(List.of(), 0))
        .hasMessageContaining("weeks is 0; allowed is 1 to 208");
  }

  /**
   * ISO 8601: 1 January 2027 is a Friday of week 53 of 2026; 29 December 2025 is week 1 of 2026.
   */
  @Test
  void weeksFollowIso() {
    assertThat(IsoWeek.of(LocalDate.parse("2027-01-01")).display()).isEqualTo("2026-W53");
    assertThat(IsoWeek.of(LocalDate.parse("2025-12-29")).display()).isEqualTo("2026-W01");
    assertThat(IsoWeek.of(LocalDate.parse("2027-03-21")).display()).isEqualTo("2027-W11");
  }

  private static PlanLine plan(List<TrayHold> holds, int weeks) {
    return PlanLine.of(List.of(unit(List.of(), Math.max(weeks, 1))), holds, TODAY, weeks);
  }

  private static UnitPlan unit(List<InHand> inHand, int weeks) {
    return new UnitPlan(
        new UnitId(7),
        "FL-9",
        OccurrencePlanner.plan(
            List.of(
                done(OIL_CHANGE, "2027-02-01", "800", OUTLOOK),
                done(FILTER_CHANGE, "2027-02-01", "800", OUTLOOK)),
            inHand,
            TODAY,
            PlanLine.lastDay(TODAY, weeks)),
        NEEDS);
  }

  private static TreeMap<IsoWeek, Quantity> weeks(
      String one, String litres, String other, String otherLitres) {
    return new TreeMap<>(
        Map.of(
            new IsoWeek(LocalDate.parse(one)), Quantity.litres(litres),
            new IsoWeek(LocalDate.parse(other)), Quantity.litres(otherLitres)));
  }
}

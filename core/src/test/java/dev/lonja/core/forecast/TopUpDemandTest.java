package dev.lonja.core.forecast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import dev.lonja.core.calendar.UsageCalendar;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Filling;
import dev.lonja.core.fleet.TopUpRate;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fleet.Variant;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.meter.Fleets;
import dev.lonja.core.meter.Meter;
import dev.lonja.core.meter.MeterDigest;
import dev.lonja.core.meter.MeterFile;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterNotes;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.meter.UsageRate;
import dev.lonja.core.pour.RecordedTopUp;
import dev.lonja.core.pour.TopUpUse;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.Services;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/**
 * Today is Monday 15 March 2027. The engine runs 4 h a day, last read on 1 March at 1,000 h. Half a
 * litre was added on 1 January, 0.4 L on the 31st and 0.2 L on 2 March: 0.6 L after the first, in
 * 60 days or 240 h, so 0.25 L each 100 h.
 */
class TopUpDemandTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final List<RecordedTopUp> NOTED =
      List.of(noted("2027-03-02", "0.2"), noted("2027-01-01", "0.5"), noted("2027-01-31", "0.4"));
  private static final Unit UNIT = unit(Optional.empty());

  @Test
  void theUseIsLearnedFromThreeTopUpsOn() {
    TopUpUse use = use("0.35", NOTED).orElseThrow();
    assertThat(use.volume()).isEqualTo(Volume.ofLitres("0.25"));
    assertThat(use.span()).isEqualTo(MeterSpan.ofHours("100"));
    assertThat(use.learnedFrom()).isEqualTo(3);
  }

  /** What lies a year back, or is of another compartment, does not count. */
  @Test
  void oldOnesAndThoseOfOthersAreLeftAside() {
    List<RecordedTopUp> two = NOTED.subList(0, 2);
    assertThat(use("0.35", two).orElseThrow().learnedFrom()).isZero();
    RecordedTopUp old = noted("2026-03-15", "9");
    RecordedTopUp other =
        new RecordedTopUp(
            new CompartmentId(99), LocalDate.parse("2027-02-01"), Volume.ofLitres("9"));
    List<RecordedTopUp> more = List.of(two.get(0), two.get(1), old, other);
    assertThat(use("0.35", more).orElseThrow().volume()).isEqualTo(Volume.ofLitres("0.35"));
  }

  /** From 3 to 31 January are 28 days, from the 4th 27. */
  @Test
  void fourWeeksLieBetweenTheFirstAndTheLast() {
    RecordedTopUp last = noted("2027-01-31", "0.4");
    RecordedTopUp between = noted("2027-01-20", "0.4");
    assertThat(use("1", List.of(noted("2027-01-03", "1"), between, last)).orElseThrow())
        .satisfies(learned -> assertThat(learned.learnedFrom()).isEqualTo(3));
    assertThat(use("1", List.of(noted("2027-01-04", "1"), between, last)).orElseThrow())
        .satisfies(stated -> assertThat(stated.learnedFrom()).isZero());
  }

  @Test
  void withNeitherNothingIsSaid() {
    assertThat(TopUpUse.of(sump(Filling.UNSAID), List.of(), List.of(meter("4")), TODAY)).isEmpty();
    TopUpRate ofOther = new TopUpRate(Volume.ofLitres("0.35"), "road");
    assertThat(TopUpUse.of(sump(by(ofOther)), NOTED, List.of(meter("4")), TODAY)).isEmpty();
    assertThatThrownBy(() -> new TopUpRate(Volume.ZERO, "hours"))
        .hasMessage("volume is 0 L; allowed is more");
  }

  /** 28 h a week at 0.25 L each 100 h: 0.07 L, on the Monday or today. */
  @Test
  void eachWeekTakesItsPart() {
    assertThat(demands(UNIT, "4", "2027-04-04"))
        .extracting(TopUpDemand::date, TopUpDemand::quantity)
        .containsExactly(
            tuple(TODAY, Quantity.litres("0.07")),
            tuple(LocalDate.parse("2027-03-22"), Quantity.litres("0.07")),
            tuple(LocalDate.parse("2027-03-29"), Quantity.litres("0.07")));
  }

  /** It leaves on Thursday the 18th: Monday to Wednesday are 12 h, 0.03 L. */
  @Test
  void aUnitThatLeavesIsNotToppedUpAfterwards() {
    Unit leaving = unit(Optional.of(LocalDate.parse("2027-03-18")));
    assertThat(demands(leaving, "4", "2027-04-04"))
        .extracting(TopUpDemand::quantity)
        .containsExactly(Quantity.litres("0.03"));
  }

  /** Of a machine that stands still nothing can be learned, and it takes nothing. */
  @Test
  void whatStandsStillTakesNothing() {
    assertThat(demands(UNIT, "0", "2027-04-04")).isEmpty();
  }

  @Test
  void thePlanLineCountsItWithTheServices() {
    UnitDemand demand = UnitDemand.NONE.with(demands(UNIT, "4", "2027-03-28"));
    PlanLine plan = PlanLine.ofDemand(List.of(demand), PlanLine.Beside.NOTHING, TODAY, 2);
    assertThat(plan.totals().get(Services.OIL).values())
        .containsExactly(Quantity.litres("0.07"), Quantity.litres("0.07"));
    assertThat(plan.planned()).isEmpty();
    assertThat(demand.until(LocalDate.parse("2027-03-21")).topUps()).hasSize(1);
  }

  private static List<TopUpDemand> demands(Unit unit, String perDay, String until) {
    UnitNeeds needs = new UnitNeeds(List.of(sump(by(rate("0.35")))), List.of());
    return TopUpDemand.of(
        unit, needs, NOTED, List.of(meter(perDay)), TODAY, LocalDate.parse(until));
  }

  private static Optional<TopUpUse> use(String stated, List<RecordedTopUp> noted) {
    return TopUpUse.of(sump(by(rate(stated))), noted, List.of(meter("4")), TODAY);
  }

  private static TopUpRate rate(String litres) {
    return new TopUpRate(Volume.ofLitres(litres), "hours");
  }

  private static Filling by(TopUpRate rate) {
    return new Filling(Optional.empty(), Optional.empty(), Optional.empty(), Optional.of(rate));
  }

  private static Compartment sump(Filling filling) {
    return Services.sump(Map.of(), filling);
  }

  private static RecordedTopUp noted(String day, String litres) {
    return new RecordedTopUp(Services.SUMP, LocalDate.parse(day), Volume.ofLitres(litres));
  }

  private static MeterStanding meter(String perDay) {
    MeterNotes notes = MeterNotes.of(List.of(Fleets.hours(1, "2027-03-01", "1000")));
    UsageRate rate = UsageRate.declared(new BigDecimal(perDay), MeterMeasure.HOURS);
    Meter meter =
        new Meter(new MeterId(1), UNIT.id(), "hours", MeterValue.ofHours("0"), Optional.of(rate));
    MeterFile file =
        new MeterFile(UNIT, meter, UsageCalendar.EVEN, MeterDigest.of(notes, UsageCalendar.EVEN));
    return MeterStanding.ofFleet(List.of(file)).get(meter.id());
  }

  private static Unit unit(Optional<LocalDate> retiredOn) {
    return new Unit(
        new UnitId(7),
        "FL-9",
        "a forklift",
        new Unit.UnitClass(1, "FL", "Forklifts"),
        new Variant(1, "Brannoch", "D25", ""),
        LocalDate.parse("2026-01-01"),
        retiredOn,
        0);
  }
}

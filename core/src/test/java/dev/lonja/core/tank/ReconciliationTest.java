package dev.lonja.core.tank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Density;
import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A box of 1 m² holds 1 L a millimetre, so that a dip reads as litres. */
class ReconciliationTest {

  private static final Instant START = Instant.parse("2027-01-04T07:00:00Z");

  private static final Tank TANK =
      new NewTank(
              "Tank",
              new BinId(1),
              new ItemId(1),
              new TankShape.Box(mm(1_000), mm(1_000), mm(1_000)),
              95,
              Tank.USUAL_ERROR,
              false)
          .as(new TankId(1), 0);

  private static Length mm(long millimetres) {
    return new Length(millimetres * 1_000);
  }

  private static Instant day(int day) {
    return START.plus(Duration.ofDays(day));
  }

  private static Dip dip(int day, long height) {
    return dip(day, height, Optional.empty(), false);
  }

  private static Dip dip(int day, long height, Optional<Temperature> warmth, boolean agreed) {
    return new Dip(new DipId(day + 1), day(day), mm(height), warmth, false, agreed);
  }

  private static Flow flow(int day, Flow.Way way, String litres) {
    return new Flow(day(day).plusSeconds(3_600), way, Volume.ofLitres(litres), Optional.empty());
  }

  private static Reconciliation cold(List<Dip> dips, List<Flow> flows) {
    return Reconciliation.of(TANK, StandardVolume.NOT_CORRECTED, dips, flows);
  }

  /** 500 + 200 + 10 − 60 = 650; tolerance √(2² + 2² + (0.005 · 270)²) = 3.134. */
  @Test
  void whatCameAndWentExplainsTheDips() {
    Reconciliation.Span span =
        cold(
                List.of(dip(7, 648), dip(0, 500)),
                List.of(
                    flow(3, Flow.Way.POURED, "60"),
                    flow(1, Flow.Way.DELIVERED, "200"),
                    flow(2, Flow.Way.RETURNED, "10"),
                    flow(9, Flow.Way.POURED, "40")))
            .latest()
            .orElseThrow();
    assertThat(span.expected()).isEqualTo(650);
    assertThat(span.difference()).isEqualTo(-2);
    assertThat(span.tolerance()).isCloseTo(3.134, within(0.001));
    assertThat(span.agrees()).isTrue();
  }

  /**
   * 740 L at 31 °C are 731.4 at 15 °C with ρ 868 (rules §10); 100 L poured while it was so warm are
   * 98.84, and what is left lies at 15 °C.
   */
  @Test
  void allIsHeldTogetherAtFifteenDegrees() {
    StandardVolume standard =
        new StandardVolume(Optional.of(Density.ofKilogramsPerCubicMetre(BigDecimal.valueOf(868))));
    Reconciliation.Span span =
        Reconciliation.of(
                TANK,
                standard,
                List.of(
                    dip(0, 740, Optional.of(new Temperature(310)), false),
                    dip(7, 632, Optional.of(new Temperature(150)), false)),
                List.of(flow(1, Flow.Way.POURED, "100")))
            .latest()
            .orElseThrow();
    assertThat(span.opening()).isCloseTo(731.41, within(0.01));
    assertThat(span.moved().poured()).isCloseTo(98.839, within(0.001));
    assertThat(span.closing()).isEqualTo(632);
    // 632 − (731.41 − 98.84)
    assertThat(span.difference()).isCloseTo(-0.57, within(0.01));
  }

  /**
   * Each week two litres too few: within the tolerance of 2.83, and beyond three of it in week 5.
   */
  @Test
  void littleByLittleItDrifts() {
    Reconciliation checked = cold(weekly(-2, 6, 0), List.of());
    assertThat(checked.spans()).allMatch(Reconciliation.Span::agrees);
    assertThat(checked.spans().stream().map(Reconciliation.Span::drifts).toList())
        .containsExactly(false, false, false, false, true, true);
    assertThat(checked.suspicion()).contains(Reconciliation.Suspicion.LEAK);
  }

  private static List<Dip> weekly(int change, int weeks, int agreedWeek) {
    List<Dip> dips = new ArrayList<>();
    for (int week = 0; week <= weeks; week++) {
      dips.add(
          dip(
              7 * week,
              500 + (long) change * week,
              Optional.empty(),
              agreedWeek > 0 && week == agreedWeek));
    }
    return dips;
  }

  /** Agreed in week 3, the sum starts anew: three weeks of −2 are less than 3 · 2.83. */
  @Test
  void anAgreedDipStartsTheSumAnew() {
    Reconciliation checked = cold(weekly(-2, 6, 3), List.of());
    assertThat(checked.latest().orElseThrow().sum()).isEqualTo(-6);
    assertThat(checked.suspicion()).isEmpty();
    assertThat(checked.sinceAgreed()).hasSize(3);
  }

  /** A twentieth more flows than is booked, whatever the week. */
  @Test
  void whatGoesWithThePoursIsTheMeter() {
    int[] poured = {20, 100, 0, 60, 20, 80};
    List<Dip> dips = new ArrayList<>(List.of(dip(0, 900)));
    List<Flow> flows = new ArrayList<>();
    int stands = 900;
    for (int week = 0; week < poured.length; week++) {
      flows.add(flow(7 * week, Flow.Way.POURED, String.valueOf(poured[week])));
      stands -= poured[week] + poured[week] / 20;
      dips.add(dip(7 * week + 7, stands));
    }
    assertThat(cold(dips, flows).suspicion()).contains(Reconciliation.Suspicion.METER);
  }

  /** More than should be there did not leak in. */
  @Test
  void whatIsTooMuchIsTheMeter() {
    assertThat(cold(weekly(2, 6, 0), List.of()).suspicion())
        .contains(Reconciliation.Suspicion.METER);
  }

  @Test
  void aSingleJumpIsTheDip() {
    assertThat(cold(List.of(dip(0, 500), dip(7, 500), dip(14, 430)), List.of()).suspicion())
        .contains(Reconciliation.Suspicion.DIP);
  }

  /** 950 L are its safe fill; the last dip of 400 and 30 poured since leave room for 580. */
  @Test
  void theLevelIsTheLastDipAndWhatMovedSince() {
    List<Dip> dips = List.of(dip(0, 500), dip(7, 400));
    List<Flow> flows = List.of(flow(3, Flow.Way.POURED, "90"), flow(8, Flow.Way.POURED, "30"));
    TankLevel level = TankLevel.of(TANK, dips, flows, Volume.ofLitres("395"));
    assertThat(level.now()).isEqualTo(Volume.ofLitres("370"));
    assertThat(level.room()).isEqualTo(Volume.ofLitres("580"));
    assertThat(TankLevel.of(TANK, List.of(), flows, Volume.ofLitres("395")).now())
        .isEqualTo(Volume.ofLitres("395"));
    assertThat(TANK.room(Volume.ofLitres("980"))).isEqualTo(Volume.ZERO);
  }
}

package dev.lonja.core.meter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.calendar.LayUp;
import dev.lonja.core.calendar.UsageCalendar;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fleet.Variant;
import dev.lonja.core.quantity.MeterValue;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class MonthlyFactorsTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");

  /** Eleven months of 1 and one of 2 add up to 13: 120,000 / 13 = 9,230.77 and 18,461.54. */
  @Test
  void typedWeightsAreScaledToMeanOne() {
    List<BigDecimal> weights = new ArrayList<>(Collections.nCopies(12, BigDecimal.ONE));
    weights.set(6, BigDecimal.valueOf(2));
    List<Integer> factors = MonthlyFactors.scaled(weights).orElseThrow();
    // 11 × 9,230 + 18,461 = 119,991; nine are left, for the largest remainders: .77 before .54
    assertThat(factors.subList(0, 6)).containsOnly(9_231);
    assertThat(factors.get(6)).isEqualTo(18_461);
    assertThat(factors.subList(7, 10)).containsOnly(9_231);
    assertThat(factors.subList(10, 12)).containsOnly(9_230);
    assertThat(factors.stream().mapToInt(f -> f).sum()).isEqualTo(120_000);
  }

  @Test
  void weightsThatAreAllZeroGiveNothing() {
    assertThat(MonthlyFactors.scaled(Collections.nCopies(12, BigDecimal.ZERO))).isEmpty();
  }

  @Test
  void elevenWeightsOrOneBelowZeroAreRefused() {
    assertThatThrownBy(() -> MonthlyFactors.scaled(Collections.nCopies(11, BigDecimal.ONE)))
        .hasMessageContaining("weights holds 11");
    List<BigDecimal> negative = new ArrayList<>(Collections.nCopies(12, BigDecimal.ONE));
    negative.set(0, BigDecimal.valueOf(-1));
    assertThatThrownBy(() -> MonthlyFactors.scaled(negative)).hasMessageContaining("0 or more");
  }

  /**
   * Read on each first of a month: 3 h a day in July, 1 h else; 14 = 11 + 3, so 12/14 and 36/14.
   */
  @Test
  void learnsFromTheReadingsOfTwoYears() {
    List<Integer> learned =
        MonthlyFactors.learned(List.of(meter(24, List.of())), TODAY).orElseThrow();
    assertThat(learned.get(6)).isBetween(25_710, 25_718);
    assertThat(learned.get(0)).isBetween(8_569, 8_573);
  }

  /** A year laid up in January shows no January at all, so it cannot speak for the class. */
  @Test
  void aMonthThatWasNeverSeenTeachesNothing() {
    LayUp january = new LayUp(LocalDate.parse("2027-01-01"), LocalDate.parse("2027-01-31"));
    LayUp before = new LayUp(LocalDate.parse("2026-01-01"), LocalDate.parse("2026-01-31"));
    assertThat(MonthlyFactors.learned(List.of(meter(24, List.of(january, before))), TODAY))
        .isEmpty();
    assertThat(MonthlyFactors.learned(List.of(meter(6, List.of())), TODAY)).isEmpty();
  }

  /** Readings on the last day of so many months, up to February 2027. */
  private static JudgedMeter meter(int months, List<LayUp> layUps) {
    List<Reading> readings = new ArrayList<>();
    YearMonth month = YearMonth.of(2027, 2).minusMonths(months);
    long hours = 100;
    for (int i = 0; i <= months; i++) {
      LocalDate day = month.atEndOfMonth();
      readings.add(
          new Reading(i + 1, day, Optional.empty(), MeterValue.ofHours(String.valueOf(hours))));
      month = month.plusMonths(1);
      hours += month.lengthOfMonth() * (month.getMonthValue() == 7 ? 3 : 1);
    }
    Unit unit =
        new Unit(
            new UnitId(1),
            "QS-1",
            "Sweeper",
            new Unit.UnitClass(1, "QS", "Sweepers"),
            new Variant(1, "Tarrowby", "S2", ""),
            LocalDate.parse("2024-01-01"),
            Optional.empty(),
            0);
    Meter meter =
        new Meter(
            new MeterId(1), new UnitId(1), "hours", MeterValue.ofHours("0"), Optional.empty());
    UsageCalendar calendar = new UsageCalendar(UsageCalendar.EVEN.monthlyFactors(), layUps);
    MeterNotes notes = MeterNotes.of(readings);
    MeterFile file = new MeterFile(unit, meter, calendar, MeterDigest.of(notes, calendar));
    return JudgedMeter.of(MeterStanding.ofFleet(List.of(file)).get(new MeterId(1)), notes);
  }
}

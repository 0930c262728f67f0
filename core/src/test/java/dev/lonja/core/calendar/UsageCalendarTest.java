package dev.lonja.core.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.meter.Fleets;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

class UsageCalendarTest {

  /** τ(a, b) over a &lt; d ≤ b: the first day is left out, the last one counts. */
  @Test
  void countsTheLastDayAndNotTheFirst() {
    assertThat(tau(UsageCalendar.EVEN, "2027-03-01", "2027-03-11")).isEqualTo(10);
    assertThat(tau(UsageCalendar.EVEN, "2027-03-11", "2027-03-11")).isZero();
    assertThat(tau(UsageCalendar.EVEN, "2027-03-11", "2027-03-01")).isZero();
  }

  /** 30 January to 2 February: 31 January × 0 + two days × 2 = 4. */
  @Test
  void weighsEachDayByItsMonth() {
    assertThat(tau(Fleets.januaryOff(), "2027-01-30", "2027-02-02")).isEqualTo(4);
  }

  /** February 2028 has 29 days: 29 × 2 = 58 effective days from 31 January to 29 February. */
  @Test
  void leapYearsHaveTheirDay() {
    assertThat(tau(Fleets.januaryOff(), "2028-01-31", "2028-02-29")).isEqualTo(58);
    assertThat(tau(Fleets.januaryOff(), "2027-01-31", "2027-02-28")).isEqualTo(56);
  }

  /** Laid up 10 to 19 March, ten days with both ends: 31 − 10 = 21. */
  @Test
  void layUpsCountNothingOnBothTheirEnds() {
    LayUp layUp = new LayUp(LocalDate.parse("2027-03-10"), LocalDate.parse("2027-03-19"));
    UsageCalendar calendar = new UsageCalendar(UsageCalendar.EVEN.monthlyFactors(), List.of(layUp));
    assertThat(tau(calendar, "2027-02-28", "2027-03-31")).isEqualTo(21);
    assertThat(tau(calendar, "2027-03-09", "2027-03-20")).isEqualTo(1);
  }

  /** Both ends belong to a lay-up: 10 to 19 and 19 to 25 share the 19th, 20 to 25 shares none. */
  @Test
  void layUpsThatShareADayOverlap() {
    LayUp march = new LayUp(LocalDate.parse("2027-03-10"), LocalDate.parse("2027-03-19"));
    LayUp touching = new LayUp(LocalDate.parse("2027-03-19"), LocalDate.parse("2027-03-25"));
    LayUp after = new LayUp(LocalDate.parse("2027-03-20"), LocalDate.parse("2027-03-25"));
    LayUp around = new LayUp(LocalDate.parse("2027-01-01"), LocalDate.parse("2027-12-31"));
    assertThat(march.overlaps(touching)).isTrue();
    assertThat(touching.overlaps(march)).isTrue();
    assertThat(march.overlaps(after)).isFalse();
    assertThat(after.overlaps(march)).isFalse();
    assertThat(march.overlaps(around)).isTrue();
    assertThat(around.overlaps(march)).isTrue();
  }

  /** 10 to 19 and 15 to 25 March lie over each other: 16 days in all, 31 − 16 = 15. */
  @Test
  void layUpsThatLieOverEachOtherCountOnce() {
    List<LayUp> layUps =
        List.of(
            new LayUp(LocalDate.parse("2027-03-10"), LocalDate.parse("2027-03-19")),
            new LayUp(LocalDate.parse("2027-03-15"), LocalDate.parse("2027-03-25")));
    UsageCalendar calendar = new UsageCalendar(UsageCalendar.EVEN.monthlyFactors(), layUps);
    assertThat(tau(calendar, "2027-02-28", "2027-03-31")).isEqualTo(15);
  }

  /** Two years, one of them with a 29 February: 365 + 366 days, of which 20 are laid up. */
  @Test
  void addsUpOverYears() {
    LayUp turn = new LayUp(LocalDate.parse("2027-12-22"), LocalDate.parse("2028-01-10"));
    UsageCalendar calendar = new UsageCalendar(UsageCalendar.EVEN.monthlyFactors(), List.of(turn));
    assertThat(tau(UsageCalendar.EVEN, "2026-12-31", "2028-12-31")).isEqualTo(731);
    assertThat(tau(calendar, "2026-12-31", "2028-12-31")).isEqualTo(711);
  }

  /**
   * Whatever the days, it is the sum over each of them: from 1899 on, so that 1900 and 2100, which
   * are no leap years, and 2000, which is one, lie between; a step of 97 days meets every month.
   */
  @Test
  void isTheSumOverEachOfTheDays() {
    UsageCalendar calendar = Fleets.januaryOff();
    LocalDate start = LocalDate.parse("1899-11-17");
    long sum = 0;
    Map<LocalDate, EffectiveDays> sums = new TreeMap<>();
    for (LocalDate day = start.plusDays(1); day.getYear() < 2102; day = day.plusDays(1)) {
      sum += calendar.monthlyFactors().get(day.getMonthValue() - 1);
      if (start.until(day, ChronoUnit.DAYS) % 97 == 0) {
        sums.put(day, new EffectiveDays(sum));
      }
    }
    // 2101-12-31 is 73,823 days on, and 73,823 / 97 = 761.06
    assertThat(sums).hasSize(761);
    sums.forEach((day, days) -> assertThat(calendar.between(start, day)).isEqualTo(days));
  }

  @Test
  void factorsNeedMeanOneAndTwelveMonths() {
    List<Integer> factors = new ArrayList<>(UsageCalendar.EVEN.monthlyFactors());
    factors.set(0, 9_999);
    assertThatThrownBy(() -> new UsageCalendar(factors, List.of()))
        .hasMessageContaining("monthlyFactors add up to 119999; allowed is 120000");
    assertThatThrownBy(() -> new UsageCalendar(List.of(120_000), List.of()))
        .hasMessageContaining("monthlyFactors holds 1; allowed is 12");
    assertThatThrownBy(() -> new UsageCalendar(Collections.nCopies(12, 0), List.of()))
        .hasMessageContaining("add up to 0");
    factors.set(0, -1);
    factors.set(1, 20_001);
    assertThatThrownBy(() -> new UsageCalendar(factors, List.of()))
        .hasMessageContaining("allowed is 0 or more");
  }

  @Test
  void aLayUpUpsideDownIsRefused() {
    assertThatThrownBy(
            () -> new LayUp(LocalDate.parse("2027-03-02"), LocalDate.parse("2027-03-01")))
        .hasMessageContaining("first is 2027-03-02; allowed is up to the last day, 2027-03-01");
  }

  private static double tau(UsageCalendar calendar, String a, String b) {
    return calendar.between(LocalDate.parse(a), LocalDate.parse(b)).days();
  }
}

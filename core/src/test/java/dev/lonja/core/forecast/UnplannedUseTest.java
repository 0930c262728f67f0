package dev.lonja.core.forecast;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Clips that are issued over the counter, seen from Wednesday 17 March 2027, in week 11. */
class UnplannedUseTest {

  private static final ItemId CLIP = new ItemId(1);
  private static final LocalDate TODAY = LocalDate.parse("2027-03-17");

  private static UnplannedUse.Issue issue(String day, long pieces) {
    return new UnplannedUse.Issue(LocalDate.parse(day), Quantity.pieces(pieces));
  }

  private static Optional<UnplannedUse> use(String firstMovement, UnplannedUse.Issue... issues) {
    return UnplannedUse.of(
        CLIP, Place.MAIN, List.of(issues), LocalDate.parse(firstMovement), TODAY);
  }

  /**
   * Since Monday 14 September 2026 are 26 whole weeks up to Sunday 14 March; what was issued on
   * Monday of this week is no whole week's. The first of the 26 uses 2, the last 3, one of which on
   * Monday and two on Sunday.
   */
  @Test
  void wholeWeeksAreLookedBackOn() {
    UnplannedUse use =
        use(
                "2026-09-16",
                issue("2026-09-16", 2),
                issue("2027-03-08", 1),
                issue("2027-03-14", 2),
                issue("2027-03-15", 9))
            .orElseThrow();
    assertThat(use.weeks()).hasSize(26);
    assertThat(use.weeks().get(0)).isEqualTo(Quantity.pieces(2));
    assertThat(use.weeks().get(25)).isEqualTo(Quantity.pieces(3));
    assertThat(use.issues()).isEqualTo(3);
  }

  @Test
  void youngItemsAreLookedAtForHalfAYearAndOldOnesForTwo() {
    UnplannedUse.Issue[] three = {
      issue("2027-03-01", 1), issue("2027-03-02", 1), issue("2027-03-03", 1)
    };
    assertThat(use("2027-02-01", three).orElseThrow().weeks()).hasSize(26);
    // from Monday 1 June 2026 to 15 March 2027 are 287 days
    assertThat(use("2026-06-03", three).orElseThrow().weeks()).hasSize(41);
    assertThat(use("2020-01-01", three).orElseThrow().weeks()).hasSize(104);
  }

  /** What came back whole was no issue, and what lies too far back counts for nothing. */
  @Test
  void fewerThanThreeSayNothing() {
    assertThat(
            use(
                "2020-01-01",
                issue("2027-03-01", 1),
                issue("2027-03-02", 0),
                issue("2025-03-01", 5),
                issue("2027-03-03", 1)))
        .isEmpty();
  }

  /**
   * 13 pieces in 26 weeks are half a piece a week; of this one five days are left, from Wednesday
   * to Sunday: 5/7 of it, 0.357143.
   */
  @Test
  void thePlanLineTakesTheWeeklyMean() {
    List<UnplannedUse.Issue> issues = new ArrayList<>();
    for (int i = 0; i < 13; i++) {
      issues.add(issue("2027-02-01", 1));
    }
    UnplannedUse use =
        UnplannedUse.of(CLIP, Place.MAIN, issues, LocalDate.parse("2026-12-01"), TODAY)
            .orElseThrow();
    List<Demand> demands = use.demands(TODAY, 3);
    assertThat(demands)
        .extracting(Demand::date)
        .containsExactly(TODAY, LocalDate.parse("2027-03-22"), LocalDate.parse("2027-03-29"));
    assertThat(demands)
        .extracting(demand -> demand.quantity().exactText())
        .containsExactly("0.357143", "0.5", "0.5");
  }
}

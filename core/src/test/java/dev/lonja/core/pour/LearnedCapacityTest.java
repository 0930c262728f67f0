package dev.lonja.core.pour;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Filling;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.Services;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class LearnedCapacityTest {

  /** Book 6.40 L; 6.5, 6.7 and 6.6 L were poured: the median, 6.60, is 3.125 % more. */
  @Test
  void aMedianOverThreePerCentOffIsProposed() {
    List<LearnedCapacity> proposals = proposals("6.5", "6.7", "6.6");
    assertThat(proposals).hasSize(1);
    assertThat(proposals.get(0).proposed()).isEqualTo(Capacity.ofLitres("6.6"));
    assertThat(proposals.get(0).book()).isEqualTo(Capacity.ofLitres("6.4"));
    assertThat(proposals.get(0).fills()).hasSize(3);
  }

  /** 3 % of 6.40 L is 0.192 L: 6.592 is not over it, 6.593 is; 6.207 is below by more. */
  @Test
  void exactlyThreePerCentIsNotEnough() {
    assertThat(proposals("6.592", "6.592", "6.592")).isEmpty();
    assertThat(proposals("6.593", "6.593", "6.593")).hasSize(1);
    assertThat(proposals("6.208", "6.208", "6.208")).isEmpty();
    assertThat(proposals("6.207", "6.207", "6.207")).hasSize(1);
  }

  @Test
  void twoFillsSayNothing() {
    assertThat(proposals("7", "7")).isEmpty();
  }

  /** Four fills: the mean of the middle two, (6.6 + 6.8) / 2 = 6.70 L. */
  @Test
  void ofFourFillsTheMiddleTwoAreAveraged() {
    assertThat(proposals("6.5", "6.6", "6.8", "7").get(0).proposed())
        .isEqualTo(Capacity.ofLitres("6.7"));
  }

  /** Of seven only the last five count: 7, 7, 7, 6.4 and 6.4 L, so the old ones do not hold it. */
  @Test
  void onlyTheLastFiveCount() {
    assertThat(proposals("6.4", "6.4", "6.4", "6.4", "7", "7", "7").get(0).proposed())
        .isEqualTo(Capacity.ofLitres("7"));
  }

  @Test
  void fillsInAnotherConditionDoNotCount() {
    List<RecordedFill> fills = new ArrayList<>();
    for (int i = 1; i <= 3; i++) {
      fills.add(fill(i, FillCondition.WITHOUT_FILTER, "7"));
    }
    assertThat(LearnedCapacity.proposals(List.of(Services.sump(BOOK)), fills)).isEmpty();
  }

  /**
   * The book says 6.0 to 6.6 L. 6.1, 6.4 and 6.2 L were poured: 6.1 to 6.4 L is 0.3 wide against
   * 0.6. What spreads as far as the book says nothing new.
   */
  @Test
  void ofARangeTheNarrowerOneOfTheFillsIsProposed() {
    Capacity book = new Capacity(Volume.ofLitres("6"), Volume.ofLitres("6.6"));
    assertThat(ofRange(book, "6.1", "6.4", "6.2"))
        .extracting(LearnedCapacity::proposed)
        .containsExactly(new Capacity(Volume.ofLitres("6.1"), Volume.ofLitres("6.4")));
    assertThat(ofRange(book, "6.0", "6.6", "6.2")).isEmpty();
    assertThat(ofRange(book, "6.1", "6.4")).isEmpty();
  }

  /** Two fills of 7.0 L that stood right are too few; what stood low took less than belongs in. */
  @Test
  void aFillThatDidNotStandRightSaysNothing() {
    List<RecordedFill> fills =
        new ArrayList<>(
            List.of(
                fill(1, FillCondition.WITH_FILTER, "7.0", Optional.of(FillLevel.RIGHT)),
                fill(2, FillCondition.WITH_FILTER, "7.0", Optional.empty()),
                fill(3, FillCondition.WITH_FILTER, "7.0", Optional.of(FillLevel.LOW)),
                fill(4, FillCondition.WITH_FILTER, "7.0", Optional.of(FillLevel.HIGH))));
    List<Compartment> sump = List.of(Services.sump(BOOK));
    assertThat(LearnedCapacity.proposals(sump, fills)).isEmpty();
    fills.add(fill(5, FillCondition.WITH_FILTER, "7.2", Optional.of(FillLevel.RIGHT)));
    assertThat(LearnedCapacity.proposals(sump, fills))
        .singleElement()
        .satisfies(
            learned -> {
              assertThat(learned.proposed()).isEqualTo(Capacity.exactly(Volume.ofLitres("7.0")));
              assertThat(learned.fills()).extracting(RecordedFill::id).containsExactly(5L, 2L, 1L);
            });
  }

  private static List<LearnedCapacity> ofRange(Capacity book, String... litres) {
    List<RecordedFill> fills = new ArrayList<>();
    for (int i = 0; i < litres.length; i++) {
      fills.add(fill(i + 1, FillCondition.WITH_FILTER, litres[i]));
    }
    return LearnedCapacity.proposals(
        List.of(Services.sump(Map.of(FillCondition.WITH_FILTER, book), Filling.UNSAID)), fills);
  }

  private static final Map<FillCondition, Volume> BOOK =
      Map.of(FillCondition.WITH_FILTER, Volume.ofLitres("6.4"));

  private static List<LearnedCapacity> proposals(String... litres) {
    List<RecordedFill> fills = new ArrayList<>();
    for (int i = 0; i < litres.length; i++) {
      fills.add(fill(i + 1, FillCondition.WITH_FILTER, litres[i]));
    }
    return LearnedCapacity.proposals(List.of(Services.sump(BOOK)), fills);
  }

  private static RecordedFill fill(long id, FillCondition condition, String litres) {
    return fill(id, condition, litres, Optional.empty());
  }

  private static RecordedFill fill(
      long id, FillCondition condition, String litres, Optional<FillLevel> level) {
    return new RecordedFill(
        id,
        Services.SUMP,
        Services.OIL,
        condition,
        Volume.ofLitres(litres),
        Optional.empty(),
        level,
        LocalDate.parse("2026-01-01").plusMonths(id),
        "workshop");
  }
}

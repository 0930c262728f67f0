package dev.lonja.core.fluid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Which class covers which. */
class CoverageTest {

  private static final Coverage COVERAGE = Fluids.REFERENCE.coverage();

  @Test
  void coveringIsTransitiveAndRunsOneWay() {
    assertThat(COVERAGE.of(Fluids.CK4))
        .containsExactlyInAnyOrder(Fluids.CK4, Fluids.api("CI-4 PLUS"), Fluids.CI4, Fluids.CH4);
    assertThat(COVERAGE.of(Fluids.CH4)).containsExactly(Fluids.CH4);
  }

  @Test
  void noEntryMeansNo() {
    assertThat(COVERAGE.of(Fluids.FA4)).containsExactly(Fluids.FA4);
    assertThat(COVERAGE.of(Fluids.GL5)).doesNotContain(Fluids.GL4);
    assertThat(COVERAGE.of(Fluids.DOT51)).doesNotContain(Fluids.DOT5);
  }

  @Test
  void theClassItselfIsNamedBeforeOneThatCoversIt() {
    Set<ServiceClass> claimed = Set.of(Fluids.CK4, Fluids.CI4);
    assertThat(COVERAGE.meeting(claimed, Fluids.CI4)).contains(Fluids.CI4);
    assertThat(COVERAGE.meeting(claimed, Fluids.CH4)).contains(Fluids.CI4);
    assertThat(COVERAGE.meeting(claimed, Fluids.SN)).isEmpty();
  }

  @Test
  void aCircleIsNamedAndRefused() {
    List<Coverage.Pair> circle =
        List.of(
            new Coverage.Pair(Fluids.CK4, Fluids.CI4),
            new Coverage.Pair(Fluids.CI4, Fluids.CH4),
            new Coverage.Pair(Fluids.CH4, Fluids.CK4),
            new Coverage.Pair(Fluids.SP, Fluids.SN));
    assertThat(Coverage.circle(circle)).contains(Set.of(Fluids.CK4, Fluids.CI4, Fluids.CH4));
    assertThatThrownBy(() -> Coverage.of(circle)).hasMessageContaining("circle");
    assertThat(Coverage.circle(circle.subList(0, 2))).isEmpty();
  }

  @Test
  void aClassDoesNotCoverItself() {
    assertThat(Coverage.circle(List.of(new Coverage.Pair(Fluids.SN, Fluids.SN))))
        .contains(Set.of(Fluids.SN));
  }
}

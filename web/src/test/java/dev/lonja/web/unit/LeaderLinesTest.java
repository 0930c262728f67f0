package dev.lonja.web.unit;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.web.unit.LeaderLines.Spot;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Labels 0 to 100 wide, lines from 0 to 100, blocks of 4. */
class LeaderLinesTest {

  private static LeaderLines.Rows rows(Spot... spots) {
    return new LeaderLines(100, 0, 100, 4, List.of(spots)).rows();
  }

  /** Of two things one above the other the upper one is named above. */
  @Test
  void whatIsHighIsNamedAbove() {
    assertThat(rows(new Spot(50, 70), new Spot(50, 30)))
        .isEqualTo(new LeaderLines.Rows(List.of(1), List.of(0)));
    assertThat(rows()).isEqualTo(new LeaderLines.Rows(List.of(), List.of()));
  }

  /**
   * Two above at 25 and 75, the one at 40, 10 and the one at 45, 40. In order of their x the line
   * to the lower one comes from 75 and keeps clear of the first.
   */
  @Test
  void linesFromOneSideKeepTheirOrder() {
    assertThat(rows(new Spot(45, 40), new Spot(40, 10), new Spot(20, 90)).above())
        .containsExactly(1, 0);
  }

  /**
   * Heights alone would name 0 and 1 above, from 25 and 75: the line from 75 to 10, 40 crosses the
   * one from 25 to 60, 45, whichever is which; two lines that cross are exchanged.
   */
  @Test
  void linesThatWouldCrossAreExchanged() {
    LeaderLines.Rows rows =
        rows(new Spot(60, 45), new Spot(10, 40), new Spot(30, 55), new Spot(80, 60));
    assertThat(rows.above()).containsExactly(1, 0);
    assertThat(rows.below()).containsExactly(2, 3);
  }
}

package dev.lonja.desk.answer;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class GiveWayTest {

  private final List<Long> pauses = new ArrayList<>();
  private final GiveWay way = new GiveWay(pauses::add);

  @Test
  void nobodyWaits() {
    way.stepBack();
    assertThat(pauses).isEmpty();
  }

  @Test
  void whileAnybodyWaitsEachPieceStandsBackOnce() {
    try (GiveWay.Waiting one = way.somebodyWaits()) {
      assertThat(one).isNotNull();
      way.somebodyWaits().close();
      way.stepBack();
      way.stepBack();
    }
    assertThat(pauses).containsExactly(2_000_000L, 2_000_000L);
    way.stepBack();
    assertThat(pauses).hasSize(2);
  }
}

package dev.lonja.core.place;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class BinWalkTest {

  private static BinWalk.Placed placed(int was, int wanted) {
    return new BinWalk.Placed(new BinId(was), was, wanted);
  }

  /** The fifth is wanted second: it goes before the one that stood there. */
  @Test
  void whatIsMovedGoesBeforeWhatStoodThere() {
    assertThat(
            BinWalk.of(
                List.of(placed(1, 1), placed(2, 2), placed(3, 3), placed(4, 4), placed(5, 2))))
        .extracting(BinId::value)
        .containsExactly(1L, 5L, 2L, 3L, 4L);
  }

  /** Both the first and the second are wanted last, beyond all others: in their old order. */
  @Test
  void severalAtOncePlaceKeepTheirOrder() {
    assertThat(BinWalk.of(List.of(placed(1, 99), placed(2, 99), placed(3, 3))))
        .extracting(BinId::value)
        .containsExactly(3L, 1L, 2L);
  }
}

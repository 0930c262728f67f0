package dev.lonja.core.tray;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class TrayProgressTest {

  private static final ItemId FILTER = new ItemId(7);
  private static final ItemId WASHER = new ItemId(8);

  @Test
  void linesComeInWalkingOrder() {
    TrayProgress progress =
        TrayProgress.of(List.of(line(1, FILTER, 30, 1, 0), line(2, WASHER, 10, 1, 0)), Map.of());
    assertThat(progress.steps().stream().map(step -> step.line().id())).containsExactly(2L, 1L);
  }

  /** Two lines want the last washer: the first on the walk gets it, the other is short by one. */
  @Test
  void theLastPieceIsPromisedOnce() {
    TrayProgress progress =
        TrayProgress.of(
            List.of(line(1, WASHER, 10, 1, 0), line(2, WASHER, 20, 1, 0)),
            Map.of(WASHER, Quantity.pieces(1)));
    assertThat(progress.steps().get(0).state()).isEqualTo(TrayProgress.LineState.TO_LAY);
    assertThat(progress.steps().get(1).state()).isEqualTo(TrayProgress.LineState.SHORT);
    assertThat(progress.steps().get(1).lacking()).isEqualTo(Quantity.pieces(1));
    assertThat(progress.state()).isEqualTo(TrayProgress.State.SHORT);
    assertThat(progress.shortCount()).isEqualTo(1);
  }

  @Test
  void aTrayIsReadyWhenEveryLineIsLaid() {
    List<TrayLine> lines = List.of(line(1, FILTER, 10, 2, 2), line(2, WASHER, 20, 1, 1));
    assertThat(TrayProgress.of(lines, Map.of()).state()).isEqualTo(TrayProgress.State.READY);
    assertThat(TrayProgress.of(List.of(), Map.of()).state())
        .isEqualTo(TrayProgress.State.NOT_BEGUN);
  }

  @Test
  void aTrayBegunIsLaidInPart() {
    Map<ItemId, Quantity> free = Map.of(FILTER, Quantity.pieces(5));
    assertThat(TrayProgress.of(List.of(line(1, FILTER, 10, 2, 1)), free).state())
        .isEqualTo(TrayProgress.State.LAID_IN_PART);
    assertThat(TrayProgress.of(List.of(line(1, FILTER, 10, 2, 0)), free).state())
        .isEqualTo(TrayProgress.State.NOT_BEGUN);
  }

  private static TrayLine line(long id, ItemId itemId, int walk, int wanted, int laid) {
    return new TrayLine(
        id,
        itemId,
        "place",
        new LineReason.Part(""),
        walk,
        Quantity.pieces(wanted),
        Quantity.pieces(laid),
        Destination.NONE,
        Optional.empty());
  }
}

package dev.lonja.core.tray;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.TaskId;
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
            Map.of(StockKey.ofNew(WASHER), Quantity.pieces(1)));
    assertThat(progress.steps().get(0).state()).isEqualTo(TrayProgress.LineState.TO_LAY);
    assertThat(progress.steps().get(1).state()).isEqualTo(TrayProgress.LineState.SHORT);
    assertThat(progress.steps().get(1).lacking()).isEqualTo(Quantity.pieces(1));
    assertThat(progress.state()).isEqualTo(TrayProgress.State.SHORT);
    assertThat(progress.shortCount()).isEqualTo(1);
  }

  /** Five new filters on the shelf are nothing to a line that takes a used one. */
  @Test
  void aLineOfUsedPartsIsNotMetFromNewOnes() {
    TrayLine line = line(1, FILTER, 10, 1, 0);
    StockKey used = new StockKey(FILTER, LotCondition.USED_GOOD);
    TrayLine ofUsed =
        new TrayLine(
            2,
            used,
            line.place(),
            line.reason(),
            20,
            line.wanted(),
            line.laid(),
            line.destination(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            List.of());
    Map<StockKey, Quantity> free = Map.of(StockKey.ofNew(FILTER), Quantity.pieces(5));
    assertThat(TrayProgress.of(List.of(line, ofUsed), free).steps())
        .extracting(TrayProgress.Step::state)
        .containsExactly(TrayProgress.LineState.TO_LAY, TrayProgress.LineState.SHORT);
    assertThat(TrayProgress.of(List.of(ofUsed), Map.of(used, Quantity.pieces(1))).state())
        .isEqualTo(TrayProgress.State.NOT_BEGUN);
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
    Map<StockKey, Quantity> free = Map.of(StockKey.ofNew(FILTER), Quantity.pieces(5));
    assertThat(TrayProgress.of(List.of(line(1, FILTER, 10, 2, 1)), free).state())
        .isEqualTo(TrayProgress.State.LAID_IN_PART);
    assertThat(TrayProgress.of(List.of(line(1, FILTER, 10, 2, 0)), free).state())
        .isEqualTo(TrayProgress.State.NOT_BEGUN);
  }

  /**
   * One of two filters is laid and the other was left out: with the washer the tray is ready, and
   * nothing is missing although the shelf is empty. A tray of which all was left out is not begun.
   */
  @Test
  void whatWasLeftOutIsNotWaitedFor() {
    TrayLine filters = leftOut(line(1, FILTER, 10, 2, 1), "the other still goes");
    TrayLine washer = line(2, WASHER, 20, 1, 1);
    TrayProgress progress = TrayProgress.of(List.of(filters, washer), Map.of());
    assertThat(progress.steps().get(0).state()).isEqualTo(TrayProgress.LineState.LEFT_OUT);
    assertThat(progress.steps().get(0).lacking()).isEqualTo(Quantity.pieces(0));
    assertThat(progress.state()).isEqualTo(TrayProgress.State.READY);
    assertThat(
            TrayProgress.of(List.of(leftOut(line(1, FILTER, 10, 2, 0), "not now")), Map.of())
                .state())
        .isEqualTo(TrayProgress.State.NOT_BEGUN);
  }

  /** Task 5 asks for the filter that was left out, task 6 for the washer that is laid. */
  @Test
  void aTaskOfWhichSomethingWasLeftOutIsOpen() {
    TrayLine filter = ofTask(leftOut(line(1, FILTER, 10, 1, 0), "none to be had"), 5);
    TrayLine washer = ofTask(line(2, WASHER, 20, 1, 1), 6);
    assertThat(OpenWork.of(List.of(filter, washer))).containsExactly(new TaskId(5));
  }

  private static TrayLine leftOut(TrayLine line, String why) {
    return with(line, line.taskId(), Optional.of(why));
  }

  private static TrayLine ofTask(TrayLine line, long task) {
    return with(line, Optional.of(new TaskId(task)), line.leftOut());
  }

  private static TrayLine with(TrayLine line, Optional<TaskId> task, Optional<String> leftOut) {
    return new TrayLine(
        line.id(),
        line.stock(),
        line.place(),
        line.reason(),
        line.walkOrder(),
        line.wanted(),
        line.laid(),
        line.destination(),
        line.substitution(),
        task,
        leftOut,
        List.of());
  }

  private static TrayLine line(long id, ItemId itemId, int walk, int wanted, int laid) {
    return new TrayLine(
        id,
        StockKey.ofNew(itemId),
        "place",
        new LineReason.Part(""),
        walk,
        Quantity.pieces(wanted),
        Quantity.pieces(laid),
        Destination.NONE,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        List.of());
  }
}

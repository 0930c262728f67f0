package dev.lonja.core.tray;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.machine.Boxes;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.take.KitCover;
import dev.lonja.core.take.TakeLine;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What boxes and kits bring: filter 1 or 2, washers 10 and 11 that are the same thing. */
class BoxSettlementTest {

  private static final Boxes.Content WASHER =
      new Boxes.Content(Set.of(new ItemId(10), new ItemId(11)), 1);

  private static TrayLine line(long id, ItemId item, long wanted, boolean positioned) {
    return new TrayLine(
        id,
        StockKey.ofNew(item),
        "place " + id,
        new LineReason.Part(""),
        1,
        Quantity.pieces(wanted),
        Quantity.pieces(0),
        positioned ? Destination.position(new PositionId(id)) : Destination.NONE,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        List.of());
  }

  private static TakeLine take(ItemId item, long pieces) {
    return new TakeLine(
        new TaskId(1),
        item,
        "seal",
        Destination.position(new PositionId(5)),
        Quantity.pieces(pieces),
        Quantity.pieces(pieces),
        new TakeLine.Reason.Part(""));
  }

  @Test
  void whatTheBoxLacksAndTheJobNeedsIsAdded() {
    List<BoxSettlement.Change> changes =
        BoxSettlement.changes(
            List.of(line(1, new ItemId(2), 1, true)),
            1,
            List.of(WASHER),
            List.of(),
            List.of(take(new ItemId(10), 1)));
    assertThat(changes)
        .containsExactly(new BoxSettlement.Change.Add(take(new ItemId(10), 1), Quantity.pieces(1)));
  }

  @Test
  void whatTheJobDoesNotNeedOrTheTrayHasIsNotAdded() {
    List<TrayLine> filter = List.of(line(1, new ItemId(2), 1, true));
    assertThat(BoxSettlement.changes(filter, 1, List.of(WASHER), List.of(), List.of())).isEmpty();
    List<TrayLine> withWasher =
        List.of(line(1, new ItemId(2), 1, true), line(2, new ItemId(11), 1, true));
    assertThat(
            BoxSettlement.changes(
                withWasher, 1, List.of(WASHER), List.of(), List.of(take(new ItemId(10), 1))))
        .isEmpty();
    assertThat(
            BoxSettlement.changes(
                filter, 1, List.of(WASHER), List.of(WASHER), List.of(take(new ItemId(10), 1))))
        .isEmpty();
  }

  /** Two filters bring two washers; the job needs three, so one stays. */
  @Test
  void whatTheBoxBringsIsDroppedFromItsPosition() {
    TrayLine washers = line(2, new ItemId(11), 3, true);
    TrayLine extra = line(3, new ItemId(11), 1, false);
    assertThat(
            BoxSettlement.changes(
                List.of(line(1, new ItemId(2), 2, true), washers, extra),
                1,
                List.of(),
                List.of(WASHER),
                List.of(take(new ItemId(10), 3))))
        .containsExactly(new BoxSettlement.Change.Drop(washers, Quantity.pieces(2)));
  }

  @Test
  void aKitAgainstAJob() {
    KitCover cover =
        KitCover.of(
            List.of(take(new ItemId(1), 1), take(new ItemId(10), 3), take(new ItemId(7), 1)),
            List.of(
                new Boxes.Content(Set.of(new ItemId(1)), 1),
                new Boxes.Content(Set.of(new ItemId(10), new ItemId(11)), 2),
                new Boxes.Content(Set.of(new ItemId(8)), 4)));
    assertThat(cover.covered())
        .extracting(covered -> covered.line().itemId() + " " + covered.pieces().display())
        .containsExactly("1 1", "10 2");
    assertThat(cover.missing())
        .extracting(line -> line.itemId() + " " + line.toLay().display())
        .containsExactly("10 1", "7 1");
    assertThat(cover.surplus()).containsExactly(new KitCover.Surplus(2, Quantity.pieces(4)));
    assertThat(cover.isExact()).isFalse();
    assertThat(
            KitCover.of(
                    List.of(take(new ItemId(1), 1)),
                    List.of(new Boxes.Content(Set.of(new ItemId(1)), 1)))
                .isExact())
        .isTrue();
  }
}

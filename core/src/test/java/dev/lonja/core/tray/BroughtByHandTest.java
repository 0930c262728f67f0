package dev.lonja.core.tray;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.machine.Boxes;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.TaskId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Kit 5 holds two washers, 10 or 11 which are the same thing, and an element, 20. */
class BroughtByHandTest {

  private static final ItemId KIT = new ItemId(5);
  private static final Boxes BOXES =
      new Boxes(
          Map.of(
              KIT,
              List.of(
                  new Boxes.Content(Set.of(new ItemId(10), new ItemId(11)), 2),
                  new Boxes.Content(Set.of(new ItemId(20)), 1))));

  private static TrayLine line(ItemId item, LineReason reason, long laid) {
    return new TrayLine(
        item.value(),
        StockKey.ofNew(item),
        "place",
        reason,
        1,
        Quantity.pieces(3),
        Quantity.pieces(laid),
        Destination.NONE,
        Optional.empty(),
        reason instanceof LineReason.Part ? Optional.of(new TaskId(1)) : Optional.empty(),
        Optional.empty(),
        List.of());
  }

  /** Of three kits two lie and bring four washers; nothing asks for an element. */
  @Test
  void whatATaskAsksForIsThereAsOftenAsInTheKitsThatLie() {
    List<TrayLine> lines =
        List.of(
            line(new ItemId(11), new LineReason.Part(""), 0),
            line(KIT, new LineReason.ByHand("instead"), 2));
    assertThat(BroughtByHand.isOn(lines)).isTrue();
    assertThat(BroughtByHand.of(lines, BOXES))
        .containsExactly(Map.entry(new ItemId(11), Quantity.pieces(4)));
  }

  @Test
  void whatIsNotLaidOrComesWithTheJobBringsNothing() {
    TrayLine washer = line(new ItemId(10), new LineReason.Part(""), 0);
    for (TrayLine kit :
        List.of(
            line(KIT, new LineReason.ByHand("instead"), 0),
            line(KIT, new LineReason.Kit(1, Set.of(new TaskId(1))), 1))) {
      assertThat(BroughtByHand.isOn(List.of(washer, kit))).isFalse();
      assertThat(BroughtByHand.of(List.of(washer, kit), BOXES)).isEmpty();
    }
  }
}

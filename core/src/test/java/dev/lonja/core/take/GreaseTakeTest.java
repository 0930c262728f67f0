package dev.lonja.core.take;

import static dev.lonja.core.service.Services.task;
import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** The deck spindles of a mower: three grease points, two strokes at each. */
class GreaseTakeTest {

  private static final ItemId GREASE = new ItemId(77);
  private static final PositionId SPINDLES = new PositionId(5);
  private static final Task GREASING =
      task(new TaskId(1), new Task.Action.Replace(SPINDLES), "25", null);

  private static Take take(Optional<ItemId> item, Optional<Integer> strokes, Task task) {
    Position spindles =
        new Position(
            SPINDLES,
            "Deck spindles",
            Position.Kind.GREASE_POINT,
            Optional.empty(),
            item,
            3,
            strokes,
            Optional.empty(),
            Optional.empty(),
            "",
            "",
            "wipe the nipple",
            Optional.empty(),
            Position.Limits.NONE);
    return ServiceTake.of(new UnitNeeds(List.of(), List.of(spindles)), List.of(task));
  }

  /** 3 × 2 × 1.2 g = 7.2 g, without handling loss. */
  @Test
  void greaseIsStrokesTimesTheGun() {
    Take take = take(Optional.of(GREASE), Optional.of(2), GREASING);
    assertThat(take.gaps()).isEmpty();
    TakeLine line = take.lines().get(0);
    assertThat(line.itemId()).isEqualTo(GREASE);
    assertThat(line.toLay()).isEqualTo(Quantity.kilograms("0.0072"));
    assertThat(line.expected()).isEqualTo(Quantity.kilograms("0.0072"));
    assertThat(line.reason()).isEqualTo(new TakeLine.Reason.Greasing(3, 2, "wipe the nipple"));
  }

  @Test
  void whatIsNotSaidIsAGap() {
    assertThat(take(Optional.of(GREASE), Optional.empty(), GREASING))
        .isEqualTo(new Take(List.of(), List.of(new Take.Gap.NoStrokes("Deck spindles"))));
    assertThat(take(Optional.empty(), Optional.of(2), GREASING).gaps())
        .containsExactly(new Take.Gap.NoItem("Deck spindles"));
  }

  @Test
  void lookingAtAGreasePointTakesNothing() {
    Task look =
        task(
            new TaskId(1),
            new Task.Action.Inspect(SPINDLES, ReplacementChance.UNKNOWN),
            "25",
            null);
    assertThat(take(Optional.of(GREASE), Optional.of(2), look)).isEqualTo(Take.NOTHING);
  }
}

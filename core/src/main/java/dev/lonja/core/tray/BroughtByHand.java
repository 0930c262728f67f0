package dev.lonja.core.tray;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.Boxes;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What the tasks of a tray ask for and is in the box of something that was laid by hand, as in a
 * kit: it is there, so it is neither forecast nor wanted beside.
 */
public final class BroughtByHand {

  private BroughtByHand() {}

  /** True if anything was laid by hand, so that boxes matter. */
  public static boolean isOn(List<TrayLine> lines) {
    return lines.stream().anyMatch(BroughtByHand::brings);
  }

  private static boolean brings(TrayLine line) {
    return line.reason() instanceof LineReason.ByHand && line.laid().isPositive();
  }

  /** By the item that a task asks for, how many pieces of it came so. */
  public static Map<ItemId, Quantity> of(List<TrayLine> lines, Boxes boxes) {
    Map<ItemId, Quantity> brought = new HashMap<>();
    lines.stream()
        .filter(BroughtByHand::brings)
        .forEach(
            line ->
                boxes
                    .of(line.itemId())
                    .forEach(
                        content ->
                            asked(lines, content)
                                .ifPresent(
                                    item ->
                                        brought.merge(
                                            item, pieces(line, content), Quantity::plus))));
    return brought;
  }

  private static Quantity pieces(TrayLine line, Boxes.Content content) {
    return line.laid().times(BigDecimal.valueOf(content.quantity()));
  }

  private static Optional<ItemId> asked(List<TrayLine> lines, Boxes.Content content) {
    return lines.stream()
        .filter(line -> line.taskId().isPresent() && line.wanted().measure() == Measure.PIECES)
        .map(TrayLine::askedItemId)
        .filter(content.items()::contains)
        .findFirst();
  }
}

package dev.lonja.core.take;

import dev.lonja.core.machine.Boxes;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;

/** Takes out of what is asked for what comes in the boxes of other things that are asked for. */
final class BoxedLines {

  private static final List<Boxes.Content> NOTHING = List.of();

  private BoxedLines() {}

  /**
   * The lines without what the boxes of others among them bring. Only what is replaced every time
   * counts on either side: the box of a part that may not be opened brings nothing. A line that a
   * box covers whole is dropped, and then its own box brings nothing either.
   */
  static List<TakeLine> without(Boxes boxes, List<TakeLine> lines) {
    List<TakeLine> left = new ArrayList<>(lines);
    for (int box = 0; box < left.size(); box++) {
      TakeLine line = left.get(box);
      for (Boxes.Content content : isCertain(line) ? boxes.of(line.itemId()) : NOTHING) {
        takeOut(left, box, content);
      }
    }
    left.removeIf(line -> !line.toLay().isPositive());
    return left;
  }

  private static void takeOut(List<TakeLine> left, int box, Boxes.Content content) {
    Quantity brought = left.get(box).toLay().times(BigDecimal.valueOf(content.quantity()));
    for (int i = 0; i < left.size(); i++) {
      TakeLine line = left.get(i);
      if (i != box && isCertain(line) && content.items().contains(line.itemId())) {
        Quantity covered = brought.min(line.toLay());
        brought = brought.minus(covered);
        left.set(i, line.less(covered));
      }
    }
  }

  private static boolean isCertain(TakeLine line) {
    return line.toLay().measure() == Measure.PIECES
        && !(line.reason() instanceof TakeLine.Reason.OnInspection)
        && !(line.reason() instanceof TakeLine.Reason.Insurance);
  }
}

package dev.lonja.core.tray;

import dev.lonja.core.machine.Boxes;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.take.TakeLine;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * What a substitution changes on the rest of a tray: what the original's box brought, the
 * substitute's lacks and the job needs is added; what the substitute's box brings in addition is
 * dropped where the tray has it for a position.
 */
public final class BoxSettlement {

  private BoxSettlement() {}

  /** A change to the lines of a tray. */
  public sealed interface Change {
    /** A line for what the job takes and no box brings any more. */
    record Add(TakeLine line, Quantity pieces) implements Change {}

    /** So much less of a line, down to none. */
    record Drop(TrayLine line, Quantity pieces) implements Change {}
  }

  /**
   * @param lines of the tray, with the substitute on its line already
   * @param substituted the id of that line
   * @param before what came in the box of what lay there before
   * @param after what comes in the substitute's
   * @param takes what the job takes as if boxes brought nothing
   */
  public static List<Change> changes(
      List<TrayLine> lines,
      long substituted,
      List<Boxes.Content> before,
      List<Boxes.Content> after,
      List<TakeLine> takes) {
    TrayLine line = lines.stream().filter(l -> l.id() == substituted).findFirst().orElseThrow();
    List<TrayLine> others = lines.stream().filter(l -> l.id() != substituted).toList();
    List<Change> changes = new ArrayList<>();
    for (Boxes.Content content : before) {
      Quantity lost = pieces(content, line).minus(same(content, after, line)).atLeastZero();
      changes.addAll(added(content, lost, same(content, after, line), others, takes));
    }
    for (Boxes.Content content : after) {
      Quantity gained = pieces(content, line).minus(same(content, before, line)).atLeastZero();
      changes.addAll(dropped(content, gained, others));
    }
    return changes;
  }

  private static List<Change> added(
      Boxes.Content content,
      Quantity lost,
      Quantity stillBrought,
      List<TrayLine> others,
      List<TakeLine> takes) {
    List<TakeLine> asking =
        takes.stream().filter(take -> content.items().contains(take.itemId())).toList();
    Quantity wanted = sum(asking.stream().map(TakeLine::toLay).toList());
    Quantity there =
        sum(
            others.stream()
                .filter(line -> content.items().contains(line.itemId()))
                .map(TrayLine::wanted)
                .toList());
    Quantity missing = wanted.minus(there).minus(stillBrought).atLeastZero().min(lost);
    return missing.isPositive() ? List.of(new Change.Add(asking.get(0), missing)) : List.of();
  }

  private static List<Change> dropped(
      Boxes.Content content, Quantity gained, List<TrayLine> others) {
    List<Change> changes = new ArrayList<>();
    Quantity left = gained;
    for (TrayLine line : others) {
      boolean same = line.positionId().isPresent() && content.items().contains(line.itemId());
      if (same && left.isPositive()) {
        Quantity less = left.min(line.wanted());
        changes.add(new Change.Drop(line, less));
        left = left.minus(less);
      }
    }
    return changes;
  }

  private static Quantity pieces(Boxes.Content content, TrayLine line) {
    return line.wanted().times(BigDecimal.valueOf(content.quantity()));
  }

  private static Quantity same(Boxes.Content content, List<Boxes.Content> others, TrayLine line) {
    return sum(
        others.stream()
            .filter(other -> !Collections.disjoint(other.items(), content.items()))
            .map(other -> pieces(other, line))
            .toList());
  }

  private static Quantity sum(List<Quantity> quantities) {
    return quantities.stream().reduce(Quantity.pieces(0), Quantity::plus);
  }
}

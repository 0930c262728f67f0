package dev.lonja.core.take;

import dev.lonja.core.machine.Boxes;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;

/**
 * A kit held against what a job takes.
 *
 * @param covered lines that the kit covers, as far as it does
 * @param missing pieces that the job takes beside the kit; fluids are not counted
 * @param surplus contents that the job does not take, expected back on the shelf
 */
public record KitCover(List<Covered> covered, List<TakeLine> missing, List<Surplus> surplus) {

  /** A line and how much of it the kit brings. */
  public record Covered(TakeLine line, Quantity pieces) {}

  /** Contents of the kit, by their place in its list, and how much of them is left over. */
  public record Surplus(int content, Quantity pieces) {}

  public KitCover {
    covered = List.copyOf(covered);
    missing = List.copyOf(missing);
    surplus = List.copyOf(surplus);
  }

  /**
   * @param lines what the job takes
   * @param kit what is in the kit
   */
  public static KitCover of(List<TakeLine> lines, List<Boxes.Content> kit) {
    List<Covered> covered = new ArrayList<>();
    List<Quantity> left = new ArrayList<>();
    kit.forEach(content -> left.add(Quantity.pieces(content.quantity())));
    List<TakeLine> missing = new ArrayList<>();
    for (TakeLine line : lines) {
      if (line.toLay().measure() != Measure.PIECES) {
        continue;
      }
      TakeLine rest = line;
      for (int i = 0; i < kit.size(); i++) {
        if (kit.get(i).items().contains(line.itemId())) {
          Quantity taken = left.get(i).min(rest.toLay());
          left.set(i, left.get(i).minus(taken));
          rest = taken.isPositive() ? rest.less(taken) : rest;
        }
      }
      Quantity pieces = line.toLay().minus(rest.toLay());
      if (pieces.isPositive()) {
        covered.add(new Covered(line, pieces));
      }
      if (rest.toLay().isPositive()) {
        missing.add(rest);
      }
    }
    List<Surplus> surplus = new ArrayList<>();
    for (int i = 0; i < left.size(); i++) {
      if (left.get(i).isPositive()) {
        surplus.add(new Surplus(i, left.get(i)));
      }
    }
    return new KitCover(covered, missing, surplus);
  }

  /** True if nothing is missing and nothing left over. */
  public boolean isExact() {
    return missing.isEmpty() && surplus.isEmpty() && !covered.isEmpty();
  }

  /** Pieces of the job that the kit brings. */
  public BigDecimal coveredPieces() {
    return covered.stream()
        .map(line -> line.pieces().amount())
        .reduce(BigDecimal.ZERO, BigDecimal::add);
  }
}

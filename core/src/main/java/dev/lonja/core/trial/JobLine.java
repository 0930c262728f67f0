package dev.lonja.core.trial;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.take.TakeLine;

/**
 * What one line of a job takes in a trial.
 *
 * @param task that asks for it, by its place among the unit's
 * @param amount in thousandths of what the item is counted in
 * @param chance that it is used at all; 1 for what is used for certain
 * @param toLay in thousandths, what a tray would hold of it
 */
record JobLine(ItemId item, int task, long amount, double chance, long toLay) {

  private static final long MILLIONTHS = 1_000;

  static JobLine of(TakeLine line, int task) {
    boolean uncertain =
        line.reason() instanceof TakeLine.Reason.OnInspection
            || line.reason() instanceof TakeLine.Reason.Insurance;
    Quantity amount = uncertain ? line.toLay() : line.expected();
    double chance =
        uncertain && line.toLay().isPositive()
            ? (double) line.expected().millionths() / line.toLay().millionths()
            : 1;
    return new JobLine(line.itemId(), task, thousandths(amount), chance, thousandths(line.toLay()));
  }

  /** Rounded half up. */
  static long thousandths(Quantity quantity) {
    return Math.floorDiv(quantity.millionths() + MILLIONTHS / 2, MILLIONTHS);
  }
}

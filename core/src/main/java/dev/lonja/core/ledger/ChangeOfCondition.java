package dev.lonja.core.ledger;

import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;

/**
 * Moves part of a lot into a lot of the same item in another condition, in the same bin. The two
 * conditions have an average cost each, so the worth leaves at the one average and comes in as it
 * left, and the other average is worked out anew.
 *
 * @param kind {@link MovementKind#RECONDITIONED} or {@link MovementKind#REGRADED}
 * @param cost what work on it cost, which is added to its worth; zero or more
 */
public record ChangeOfCondition(MovementKind kind, LotInBin from, LotId toLotId, Money cost) {

  public ChangeOfCondition {
    if (cost.minor() < 0) {
      throw new IllegalArgumentException("cost is " + cost.minor() + "; allowed is zero or more");
    }
  }

  /** What to write of the stock that it leaves. */
  public Booking leaving(ItemStock stock, Quantity quantity) {
    return Ledger.takeOut(kind, stock, from, quantity);
  }

  /**
   * What to write of the stock that it joins.
   *
   * @param left what was booked of the stock that it leaves
   */
  public Booking joining(ItemStock stock, Quantity quantity, Booking.Booked left) {
    Money worth =
        left.lines().stream().map(line -> line.value().negated()).reduce(cost, Money::plus);
    return Ledger.putIn(
        kind, stock, new LotInBin(from.itemId(), toLotId, from.binId()), quantity, worth);
  }
}

package dev.lonja.core.ledger;

import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Quantity;
import java.util.Comparator;
import java.util.List;

/**
 * Puts the book of one place right over all lots in it, where they have run together and nobody can
 * tell them apart: a tank.
 */
public final class Levelling {

  private Levelling() {}

  /** How it is booked. */
  public enum As {
    ADJUSTMENT(MovementKind.ADJUSTMENT),
    COUNT(MovementKind.COUNT);

    private final MovementKind kind;

    As(MovementKind kind) {
      this.kind = kind;
    }
  }

  /**
   * Books more or less at the moving average. Less is taken from the lots in picking order, more
   * goes to the lot received last.
   *
   * @param change not zero
   */
  public static Booking of(ItemStock stock, BinId bin, Quantity change, As as) {
    List<StockedLot> there =
        stock.lots().stream().filter(lot -> lot.place().binId().equals(bin)).toList();
    return change.isPositive()
        ? more(stock, there, change, as.kind)
        : less(stock, there, change.negated(), as.kind);
  }

  private static Booking more(
      ItemStock stock, List<StockedLot> there, Quantity change, MovementKind kind) {
    return there.stream()
        .max(Comparator.comparing(StockedLot::receivedOn).thenComparing(lot -> lot.place().lotId()))
        .map(lot -> Ledger.more(stock, lot.place(), change, kind))
        .orElseGet(
            () -> Booking.refused(new Refusal.NotThere(change, Quantity.zero(stock.measure()))));
  }

  private static Booking less(
      ItemStock stock, List<StockedLot> there, Quantity loss, MovementKind kind) {
    if (!loss.isPositive()) {
      return Booking.refused(new Refusal.NotPositive(loss));
    }
    RunningValue running = new RunningValue(stock);
    Quantity left = loss;
    for (StockedLot lot : there.stream().sorted(StockedLot.PICKING_ORDER).toList()) {
      Quantity part = left.min(lot.quantity());
      if (part.isPositive()) {
        running.out(kind, lot.place(), part);
        left = left.minus(part);
      }
    }
    return left.isPositive()
        ? Booking.refused(new Refusal.NotThere(loss, loss.minus(left)))
        : running.booked();
  }
}

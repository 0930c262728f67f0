package dev.lonja.core.ledger;

import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Quantity;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Puts the book of one bin right over all lots in it: of a tank, where they have run together, and
 * of a bin that is counted, where nobody looks at each piece's lot.
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
    return of(stock, bin, change, as, Optional.empty());
  }

  /**
   * The same where nothing may lie in the bin by the book.
   *
   * @param known the lot to which more goes if there is none in the bin
   */
  public static Booking of(
      ItemStock stock, BinId bin, Quantity change, As as, Optional<LotId> known) {
    List<StockedLot> there =
        stock.lots().stream().filter(lot -> lot.place().binId().equals(bin)).toList();
    return change.isPositive()
        ? more(
            stock, there, known.map(lot -> new LotInBin(stock.itemId(), lot, bin)), change, as.kind)
        : less(stock, there, change.negated(), as.kind);
  }

  private static Booking more(
      ItemStock stock,
      List<StockedLot> there,
      Optional<LotInBin> known,
      Quantity change,
      MovementKind kind) {
    return there.stream()
        .max(Comparator.comparing(StockedLot::receivedOn).thenComparing(lot -> lot.place().lotId()))
        .map(StockedLot::place)
        .or(() -> known)
        .map(place -> Ledger.more(stock, place, change, kind))
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

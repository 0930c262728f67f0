package dev.lonja.core.ledger;

import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Where what is laid on trays was taken from. The book has it in its bins until it is handed over;
 * then it is issued in picking order, and that is how it was taken.
 */
public final class LaidPieces {

  private LaidPieces() {}

  /**
   * By bin, how much of what the book has there is on trays; a bin of which nothing is, is absent.
   *
   * @param lots of one item in one condition
   * @param laid on all open trays, 0 or more; what is more than there is, is left aside
   */
  public static Map<BinId, Quantity> byBin(List<StockedLot> lots, Quantity laid, LocalDate today) {
    Map<BinId, Quantity> byBin = new HashMap<>();
    Quantity left = laid;
    for (StockedLot lot : lots.stream().sorted(StockedLot.PICKING_ORDER).toList()) {
      Quantity part = left.min(lot.quantity());
      if (lot.mayBeIssued(today) && part.isPositive()) {
        byBin.merge(lot.place().binId(), part, Quantity::plus);
        left = left.minus(part);
      }
    }
    return byBin;
  }
}

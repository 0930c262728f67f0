package dev.lonja.core.ledger;

import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/**
 * What will be left of lots on the last day on which they are good, if what is expected is used and
 * always from the lot that expires first.
 */
public final class ExpiryOutlook {

  private ExpiryOutlook() {}

  /**
   * A lot of which something will be left.
   *
   * @param left more than zero, at most what lies there
   */
  public record Left(StockedLot lot, Quantity left) {}

  /**
   * The lots of which something will be left, in the order in which they expire.
   *
   * @param lots that stand for one another, of one measure; what may not be issued today is left
   *     out, as is what expires after {@code until} or never
   * @param usedBy how much is expected to be used of all of them from today to the end of a day;
   *     rising
   * @param until the last day of which anything is expected
   */
  public static List<Left> of(
      List<StockedLot> lots,
      Function<LocalDate, Quantity> usedBy,
      LocalDate today,
      LocalDate until) {
    List<StockedLot> picked =
        lots.stream()
            .filter(lot -> lot.mayBeIssued(today))
            .filter(lot -> lot.expiresOn().filter(day -> !day.isAfter(until)).isPresent())
            .sorted(StockedLot.PICKING_ORDER)
            .toList();
    List<Left> left = new ArrayList<>();
    if (picked.isEmpty()) {
      return left;
    }
    Quantity taken = Quantity.zero(picked.get(0).quantity().measure());
    for (StockedLot lot : picked) {
      Quantity stillUsed = usedBy.apply(lot.expiresOn().orElseThrow()).minus(taken).atLeastZero();
      Quantity ofThis = stillUsed.min(lot.quantity());
      taken = taken.plus(ofThis);
      Quantity rest = lot.quantity().minus(ofThis);
      if (rest.isPositive()) {
        left.add(new Left(lot, rest));
      }
    }
    return left;
  }
}

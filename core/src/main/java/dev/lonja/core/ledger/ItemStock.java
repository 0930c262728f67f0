package dev.lonja.core.ledger;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import java.time.LocalDate;
import java.util.List;
import java.util.function.Predicate;

/**
 * All stock of one item in one condition as the ledger stands.
 *
 * @param lots all of this condition
 * @param value the value of all that is on hand
 * @param average the moving average cost since the last receipt or return
 */
public record ItemStock(
    StockKey key, Measure measure, List<StockedLot> lots, Money value, UnitPrice average) {

  public ItemStock {
    lots = List.copyOf(lots);
    for (StockedLot lot : lots) {
      if (lot.condition() != key.condition()) {
        throw new IllegalArgumentException(
            "lot "
                + lot.place().lotId()
                + " is "
                + lot.condition()
                + "; allowed in this stock is "
                + key.condition());
      }
    }
  }

  public ItemId itemId() {
    return key.itemId();
  }

  public LotCondition condition() {
    return key.condition();
  }

  /** Everything that lies, usable or not. */
  public Quantity onHand() {
    return sum(lot -> true);
  }

  /** Neither expired nor quarantined: what may be issued. */
  public Quantity usable(LocalDate today) {
    return sum(lot -> lot.mayBeIssued(today));
  }

  /** What has expired by a day; a lot is good through its last. */
  public Quantity expired(LocalDate today) {
    return sum(lot -> lot.isExpired(today));
  }

  /** What is set aside. */
  public Quantity quarantined() {
    return sum(StockedLot::quarantined);
  }

  Quantity at(LotInBin place) {
    return sum(lot -> lot.place().equals(place));
  }

  private Quantity sum(Predicate<StockedLot> which) {
    return lots.stream()
        .filter(which)
        .map(StockedLot::quantity)
        .reduce(Quantity.zero(measure), Quantity::plus);
  }
}

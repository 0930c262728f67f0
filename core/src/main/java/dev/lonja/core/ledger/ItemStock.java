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
 * All stock of one item as the ledger stands.
 *
 * @param value the value of all that is on hand
 * @param average the moving average cost since the last receipt or return
 */
public record ItemStock(
    ItemId itemId, Measure measure, List<StockedLot> lots, Money value, UnitPrice average) {

  public ItemStock {
    lots = List.copyOf(lots);
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

  Quantity at(Place place) {
    return sum(lot -> lot.place().equals(place));
  }

  private Quantity sum(Predicate<StockedLot> which) {
    return lots.stream()
        .filter(which)
        .map(StockedLot::quantity)
        .reduce(Quantity.zero(measure), Quantity::plus);
  }
}

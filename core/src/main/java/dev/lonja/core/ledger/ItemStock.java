package dev.lonja.core.ledger;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/**
 * All stock of one item in one condition as the ledger stands.
 *
 * @param lots all of this condition
 * @param value the value of all that is on hand
 * @param average the moving average cost since the last receipt or return
 * @param within out of which bins something may be issued; empty for all
 */
public record ItemStock(
    StockKey key,
    Measure measure,
    List<StockedLot> lots,
    Money value,
    UnitPrice average,
    Optional<Set<BinId>> within) {

  /** One of which something may be issued out of every bin. */
  public ItemStock(
      StockKey key, Measure measure, List<StockedLot> lots, Money value, UnitPrice average) {
    this(key, measure, lots, value, average, Optional.empty());
  }

  public ItemStock {
    lots = List.copyOf(lots);
    within = within.map(Set::copyOf);
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

  /** The same, of which only what lies in these bins is issued. */
  public ItemStock within(Set<BinId> bins) {
    return new ItemStock(key, measure, lots, value, average, Optional.of(bins));
  }

  /** Lots out of which something may be issued, if they are good. */
  List<StockedLot> reached() {
    return lots.stream().filter(this::reaches).toList();
  }

  private boolean reaches(StockedLot lot) {
    return within.map(bins -> bins.contains(lot.place().binId())).orElse(true);
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

  /** Neither expired nor quarantined, in the bins that are reached: what may be issued. */
  public Quantity usable(LocalDate today) {
    return sum(lot -> reaches(lot) && lot.mayBeIssued(today));
  }

  /** What has expired by a day; a lot is good through its last. */
  public Quantity expired(LocalDate today) {
    return sum(lot -> reaches(lot) && lot.isExpired(today));
  }

  /** What is set aside. */
  public Quantity quarantined() {
    return sum(lot -> reaches(lot) && lot.quarantined());
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

package dev.lonja.core.ledger;

import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.Optional;

/**
 * What lies of one lot in one bin.
 *
 * @param condition of every piece of it
 * @param expiresOn the last day on which the lot is good
 * @param openedOn since when the container is open, if it is
 */
public record StockedLot(
    LotInBin place,
    LotCondition condition,
    LocalDate receivedOn,
    Optional<LocalDate> expiresOn,
    boolean quarantined,
    Optional<LocalDate> openedOn,
    Quantity quantity) {

  /**
   * First expired first out, lots without expiry last; then what is open; then oldest receipt; then
   * order of entry.
   */
  static final Comparator<StockedLot> PICKING_ORDER =
      Comparator.comparing((StockedLot lot) -> lot.expiresOn().orElse(LocalDate.MAX))
          .thenComparing(lot -> lot.openedOn().isEmpty())
          .thenComparing(StockedLot::receivedOn)
          .thenComparing(lot -> lot.place().lotId())
          .thenComparing(lot -> lot.place().binId());

  /** True on every day after its last good one. */
  public boolean isExpired(LocalDate today) {
    return expiresOn.filter(today::isAfter).isPresent();
  }

  /** True if it is neither expired nor set aside, and waits for no work. */
  public boolean mayBeIssued(LocalDate today) {
    return !quarantined && !isExpired(today) && condition.mayBeIssued();
  }
}

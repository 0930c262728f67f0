package dev.lonja.core.ledger;

import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;

/**
 * A movement that stands in the ledger, with what later ones already took back of it.
 *
 * @param condition of the lot that it moved
 * @param answeredQuantity the sum of the returns and corrections that refer to it, signed
 * @param answeredValue their value and that of what invoices changed, signed
 */
public record PastMovement(
    long id,
    MovementKind kind,
    LotInBin place,
    LotCondition condition,
    Quantity quantity,
    Money value,
    Quantity answeredQuantity,
    Money answeredValue) {

  /** The stock that it moved. */
  public StockKey key() {
    return new StockKey(place.itemId(), condition);
  }

  /** For an issue: what of it has not come back, zero or more. */
  public Quantity stillOut() {
    return quantity.plus(answeredQuantity).negated().atLeastZero();
  }
}

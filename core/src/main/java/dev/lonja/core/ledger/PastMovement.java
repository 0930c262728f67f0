package dev.lonja.core.ledger;

import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;

/**
 * A movement that stands in the ledger, with what later ones already took back of it.
 *
 * @param answeredQuantity the sum of the returns and corrections that refer to it, signed
 * @param answeredValue their value, signed
 */
public record PastMovement(
    long id,
    MovementKind kind,
    Place place,
    Quantity quantity,
    Money value,
    Quantity answeredQuantity,
    Money answeredValue) {

  /** For an issue: what of it has not come back, zero or more. */
  public Quantity stillOut() {
    return quantity.plus(answeredQuantity).negated().atLeastZero();
  }
}

package dev.lonja.core.ledger;

import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import java.math.BigDecimal;
import java.math.RoundingMode;

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

  /**
   * What so much of an issue left with, above zero: its share of the value, rounded half away from
   * zero to minor units; the piece that completes the return takes the rest.
   */
  Money valueOf(Quantity back) {
    if (back.equals(stillOut())) {
      return value.plus(answeredValue).negated();
    }
    BigDecimal share =
        BigDecimal.valueOf(value.minor())
            .multiply(back.amount())
            .divide(quantity.amount(), 0, RoundingMode.HALF_UP);
    return new Money(share.longValueExact(), value.currency());
  }
}

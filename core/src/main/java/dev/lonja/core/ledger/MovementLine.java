package dev.lonja.core.ledger;

import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import java.util.Optional;

/**
 * A line to be written to the ledger.
 *
 * @param quantity signed: negative for what leaves the place
 * @param value signed like the quantity
 * @param average the item's moving average cost after this line
 * @param refersTo the movement that a return or correction answers
 */
public record MovementLine(
    MovementKind kind,
    LotInBin place,
    Quantity quantity,
    Money value,
    UnitPrice average,
    Optional<Long> refersTo) {}

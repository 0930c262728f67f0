package dev.lonja.store.ledger;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.MovementKind;
import dev.lonja.core.ledger.Place;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import java.time.Instant;
import java.util.Optional;

/** A movement as it stands in the ledger. */
public record LedgerLine(
    long id,
    ItemId itemId,
    MovementKind kind,
    Place place,
    String lotCode,
    String binAddress,
    Quantity quantity,
    Money value,
    UnitPrice average,
    String reason,
    String reference,
    Optional<Long> refersTo,
    String actor,
    Instant at) {}

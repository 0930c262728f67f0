package dev.lonja.store.ledger;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.LotInBin;
import dev.lonja.core.ledger.MovementKind;
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
    LotInBin place,
    String lotCode,
    String binAddress,
    Quantity quantity,
    Money value,
    UnitPrice average,
    Cause cause,
    String actor,
    Instant at) {

  /**
   * Why it was booked.
   *
   * @param reason in a person's words; empty where the kind and what it belongs to say it all
   * @param reference what it belongs to, such as a tray's number; empty if it is nothing
   * @param handedTo who got the tray that it belongs to, while it is out
   * @param refersTo the movement that it answers
   * @param happenedAt when it was done, if it was sent later
   */
  public record Cause(
      String reason,
      String reference,
      Optional<String> handedTo,
      Optional<Long> refersTo,
      Optional<Instant> happenedAt) {}
}

package dev.lonja.desk.ledger;

import dev.lonja.core.item.Item;
import dev.lonja.desk.request.Refusal;

/** What the ledger has against a booking of an item. */
public record LedgerRefusal(Item item, dev.lonja.core.ledger.Refusal reason) implements Refusal {}

package dev.lonja.store.ledger;

import dev.lonja.core.ledger.StockedLot;

/** What lies of a lot in a bin, with the names people know them by. */
public record LotFacts(StockedLot lot, String lotCode, String binAddress) {}

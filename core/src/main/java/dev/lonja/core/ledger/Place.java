package dev.lonja.core.ledger;

/** A lot in a bin: where a quantity of one item lies. */
public record Place(long lotId, long binId) {}

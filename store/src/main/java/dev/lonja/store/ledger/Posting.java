package dev.lonja.store.ledger;

import java.time.Instant;

/**
 * What the lines of one booking share.
 *
 * @param reason in a person's words; empty where the kind and the reference say it all
 * @param reference what it belongs to, such as a tray's number
 * @param requestKey the idempotency key of the request that caused it
 */
public record Posting(
    String reason, String reference, String requestKey, String actor, Instant at) {}

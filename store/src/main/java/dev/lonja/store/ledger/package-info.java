/**
 * The stock ledger: movements, lots and what lies where. Start with {@link
 * dev.lonja.store.ledger.LedgerRepository}.
 */
@NullMarked
package dev.lonja.store.ledger;

import org.jspecify.annotations.NullMarked;

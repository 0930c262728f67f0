/**
 * The rules of the stock ledger: what a booking may do to the lots of one item and what it is
 * worth. Start with {@link dev.lonja.core.ledger.Ledger}; it turns a wish into movement lines or
 * into typed refusals and changes nothing itself. Depends on {@code quantity} only.
 */
@NullMarked
package dev.lonja.core.ledger;

import org.jspecify.annotations.NullMarked;

/** Booking stock and looking at the ledger. Start with {@link dev.lonja.web.ledger.StockDesk}. */
@NullMarked
package dev.lonja.web.ledger;

import org.jspecify.annotations.NullMarked;

/**
 * The store's data as CSV files with a description, out and in. Start with {@link
 * dev.lonja.store.exchange.Exchange}; {@link dev.lonja.store.exchange.ExchangeTables} says what
 * every table holds. Depends on {@code core} and the generated schema.
 */
@NullMarked
package dev.lonja.store.exchange;

import org.jspecify.annotations.NullMarked;

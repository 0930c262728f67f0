/**
 * Pieces of SQL that several repositories need, and nobody else. Start with {@link
 * dev.lonja.store.query.Bound}.
 */
@NullMarked
package dev.lonja.store.query;

import org.jspecify.annotations.NullMarked;

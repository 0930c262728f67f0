/**
 * Where things lie in the store. Start with {@link dev.lonja.core.place.BinId}. Depends on
 * quantities alone.
 */
@NullMarked
package dev.lonja.core.place;

import org.jspecify.annotations.NullMarked;

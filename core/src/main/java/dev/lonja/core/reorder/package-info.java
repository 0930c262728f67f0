/**
 * What to order and by when (rules §8). Start with {@link dev.lonja.core.reorder.Reordering}, which
 * holds what is free against the trials of the forecast. Depends on {@code trial}, {@code item} and
 * {@code quantity}.
 */
@NullMarked
package dev.lonja.core.reorder;

import org.jspecify.annotations.NullMarked;

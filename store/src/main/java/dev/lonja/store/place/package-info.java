/** Bins and the walk through them. */
@NullMarked
package dev.lonja.store.place;

import org.jspecify.annotations.NullMarked;

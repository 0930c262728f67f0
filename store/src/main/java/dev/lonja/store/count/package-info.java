/** Keeps counts, and what they are planned by. */
@NullMarked
package dev.lonja.store.count;

import org.jspecify.annotations.NullMarked;

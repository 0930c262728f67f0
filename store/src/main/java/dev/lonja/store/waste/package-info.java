/** Keeps waste containers, what was put into them and who fetched it. */
@NullMarked
package dev.lonja.store.waste;

import org.jspecify.annotations.NullMarked;

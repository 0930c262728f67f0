/** Keeps tanks, their dips and what flowed through them. */
@NullMarked
package dev.lonja.store.tank;

import org.jspecify.annotations.NullMarked;

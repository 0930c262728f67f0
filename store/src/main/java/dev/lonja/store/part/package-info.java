/** Parts, their numbers and what is recorded of them. Start with {@link PartRepository}. */
@NullMarked
package dev.lonja.store.part;

import org.jspecify.annotations.NullMarked;

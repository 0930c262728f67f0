/**
 * Finding a number that somebody typed or scanned among all that are known. Start with {@link
 * dev.lonja.core.find.NumberSearch}. Knows parts and what is stated of them, nothing else.
 */
@NullMarked
package dev.lonja.core.find;

import org.jspecify.annotations.NullMarked;

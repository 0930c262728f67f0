/**
 * What is poured: the first pour, fills and what they teach, topping up. Start with {@link
 * dev.lonja.core.pour.FillPolicy}.
 */
@NullMarked
package dev.lonja.core.pour;

import org.jspecify.annotations.NullMarked;

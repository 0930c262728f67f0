/**
 * What is ordered from whom, what was said of it and what came. Start with {@link
 * dev.lonja.core.order.Order}. Depends on {@code item}, {@code supplier} and {@code quantity}.
 */
@NullMarked
package dev.lonja.core.order;

import org.jspecify.annotations.NullMarked;

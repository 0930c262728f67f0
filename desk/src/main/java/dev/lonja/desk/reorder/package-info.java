/**
 * What to order, from whom, by when and how much. Start with {@link
 * dev.lonja.desk.reorder.BuyDesk}.
 */
@NullMarked
package dev.lonja.desk.reorder;

import org.jspecify.annotations.NullMarked;

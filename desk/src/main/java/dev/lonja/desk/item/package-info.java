/**
 * Items: what the store keeps, how, and what is booked of kits. Start with {@link
 * dev.lonja.desk.item.ItemDesk}.
 */
@NullMarked
package dev.lonja.desk.item;

import org.jspecify.annotations.NullMarked;

/**
 * The item page: what it is, where it lies, what happened to it, what can be booked. Start with
 * {@link dev.lonja.web.item.ItemController}.
 */
@NullMarked
package dev.lonja.web.item;

import org.jspecify.annotations.NullMarked;

/**
 * When work is due, why, what moves it and what a burst would do. Start with {@link
 * dev.lonja.web.due.DueDesk}.
 */
@NullMarked
package dev.lonja.web.due;

import org.jspecify.annotations.NullMarked;

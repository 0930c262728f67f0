/**
 * The store's day and the instant, which may be pinned. Start with {@link
 * dev.lonja.web.clock.StoreClock}.
 */
@NullMarked
package dev.lonja.web.clock;

import org.jspecify.annotations.NullMarked;

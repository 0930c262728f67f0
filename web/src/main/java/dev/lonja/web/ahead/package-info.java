/**
 * What will be used, and when each item runs short. Start with {@link
 * dev.lonja.web.ahead.AheadController}.
 */
@NullMarked
package dev.lonja.web.ahead;

import org.jspecify.annotations.NullMarked;

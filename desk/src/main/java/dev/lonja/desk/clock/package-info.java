/** The day in the store. Start with {@link dev.lonja.desk.clock.StoreClock}. Depends on nothing. */
@NullMarked
package dev.lonja.desk.clock;

import org.jspecify.annotations.NullMarked;

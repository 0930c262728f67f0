/** What services cost. Start with {@link dev.lonja.core.cost.YearOfCosts}. */
@NullMarked
package dev.lonja.core.cost;

import org.jspecify.annotations.NullMarked;

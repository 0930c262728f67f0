/** Pages of what services cost. Start with {@link dev.lonja.web.cost.CostController}. */
@NullMarked
package dev.lonja.web.cost;

import org.jspecify.annotations.NullMarked;

/** What services cost. Start with {@link dev.lonja.desk.cost.CostDesk}. */
@NullMarked
package dev.lonja.desk.cost;

import org.jspecify.annotations.NullMarked;

/**
 * The pages of the fleet and of one machine. Start with {@link dev.lonja.web.unit.UnitController}.
 */
@NullMarked
package dev.lonja.web.unit;

import org.jspecify.annotations.NullMarked;

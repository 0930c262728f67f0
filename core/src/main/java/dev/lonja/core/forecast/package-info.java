/**
 * What will be used, week by week, and how long stock lasts. Start with {@link
 * dev.lonja.core.forecast.PlanLine}; {@link dev.lonja.core.forecast.Cover} holds it against stock.
 * Depends on {@code service}, {@code fleet} and {@code quantity}.
 */
@NullMarked
package dev.lonja.core.forecast;

import org.jspecify.annotations.NullMarked;

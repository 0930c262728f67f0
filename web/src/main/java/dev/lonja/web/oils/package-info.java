/**
 * The pages of Oils: the matrix, products, specs, the temperature year, top-ups, packs and studies.
 * Start with {@link dev.lonja.web.oils.OilsController}; what a verdict says in words is in {@code
 * fluid}.
 */
@NullMarked
package dev.lonja.web.oils;

import org.jspecify.annotations.NullMarked;

/**
 * Oils and other fluids on the screens: the matrix, products, specs, the temperature year, top-ups,
 * studies and packs. Start with {@link dev.lonja.web.fluid.FluidBook}, which every desk here loads.
 */
@NullMarked
package dev.lonja.web.fluid;

import org.jspecify.annotations.NullMarked;

/**
 * Products and the specs in use, read for the rules of the core. Start with {@link
 * dev.lonja.desk.fluid.FluidBook}.
 */
@NullMarked
package dev.lonja.desk.fluid;

import org.jspecify.annotations.NullMarked;

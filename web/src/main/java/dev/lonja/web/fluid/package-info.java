/**
 * What every page says of fluids: verdicts and their reasons in words, and what of each product is
 * free. Start with {@link dev.lonja.desk.fluid.FluidBook}. Knows no machine; the pages themselves
 * are in {@code oils}.
 */
@NullMarked
package dev.lonja.web.fluid;

import org.jspecify.annotations.NullMarked;

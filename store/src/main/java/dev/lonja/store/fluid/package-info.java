/**
 * Fluids: products, what compartments demand, the store's temperature year, sign-offs, top-ups and
 * studies. Start with {@link dev.lonja.store.fluid.ProductRepository}.
 */
@NullMarked
package dev.lonja.store.fluid;

import org.jspecify.annotations.NullMarked;

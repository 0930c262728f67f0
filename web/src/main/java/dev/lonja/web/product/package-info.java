/**
 * Fluids as products, whatever their pack. Start with {@link
 * dev.lonja.web.product.ProductController}.
 */
@NullMarked
package dev.lonja.web.product;

import org.jspecify.annotations.NullMarked;

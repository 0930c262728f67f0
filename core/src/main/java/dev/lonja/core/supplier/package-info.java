/**
 * Who supplies what, on which terms and on which days. Start with {@link
 * dev.lonja.core.supplier.Supplier}. Depends on {@code quantity}.
 */
@NullMarked
package dev.lonja.core.supplier;

import org.jspecify.annotations.NullMarked;

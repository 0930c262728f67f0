/** Who supplies what. Start with {@link dev.lonja.store.supplier.SupplierRepository}. */
@NullMarked
package dev.lonja.store.supplier;

import org.jspecify.annotations.NullMarked;

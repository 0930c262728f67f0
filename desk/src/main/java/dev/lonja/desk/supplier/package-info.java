/** Who supplies, on which terms. Start with {@link dev.lonja.desk.supplier.SupplierDesk}. */
@NullMarked
package dev.lonja.desk.supplier;

import org.jspecify.annotations.NullMarked;

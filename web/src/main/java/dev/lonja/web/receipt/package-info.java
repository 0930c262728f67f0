/**
 * The receipts of a machine: what proves work that was done elsewhere. Start with {@link
 * dev.lonja.web.receipt.ReceiptController}.
 */
@NullMarked
package dev.lonja.web.receipt;

import org.jspecify.annotations.NullMarked;

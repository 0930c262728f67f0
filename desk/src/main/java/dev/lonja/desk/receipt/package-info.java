/** What proves work on machines. Start with {@link dev.lonja.desk.receipt.ReceiptDesk}. */
@NullMarked
package dev.lonja.desk.receipt;

import org.jspecify.annotations.NullMarked;

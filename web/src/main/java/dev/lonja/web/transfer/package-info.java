/**
 * What goes from one place of the store to another. Start with {@link
 * dev.lonja.web.transfer.TransferController}.
 */
@NullMarked
package dev.lonja.web.transfer;

import org.jspecify.annotations.NullMarked;

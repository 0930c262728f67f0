/**
 * What goes from one place of a store to another. Start with {@link
 * dev.lonja.core.transfer.TransferLine}.
 */
@NullMarked
package dev.lonja.core.transfer;

import org.jspecify.annotations.NullMarked;

/**
 * Sends things from one place of the store to another. Start with {@link
 * dev.lonja.desk.transfer.TransferDesk}.
 */
@NullMarked
package dev.lonja.desk.transfer;

import org.jspecify.annotations.NullMarked;

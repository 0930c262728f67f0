/** Trays and their lines. Start with {@link dev.lonja.store.tray.TrayRepository}. */
@NullMarked
package dev.lonja.store.tray;

import org.jspecify.annotations.NullMarked;

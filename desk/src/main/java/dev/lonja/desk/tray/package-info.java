/**
 * Trays: started, laid, handed over, and the rest of them put back. Start with {@link
 * dev.lonja.desk.tray.TrayDesk}.
 */
@NullMarked
package dev.lonja.desk.tray;

import org.jspecify.annotations.NullMarked;

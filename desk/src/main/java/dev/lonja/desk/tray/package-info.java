/**
 * Trays: started, laid, handed over, taken back, and what came of the job. Start with {@link
 * dev.lonja.desk.tray.TrayDesk}.
 */
@NullMarked
package dev.lonja.desk.tray;

import org.jspecify.annotations.NullMarked;

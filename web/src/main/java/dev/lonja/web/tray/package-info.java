/**
 * Laying trays, handing them over, taking back. Start with {@link
 * dev.lonja.web.tray.TrayController}; {@link dev.lonja.web.tray.TrayDesk} lays, {@link
 * dev.lonja.web.tray.HandOverDesk} hands over and undoes.
 */
@NullMarked
package dev.lonja.web.tray;

import org.jspecify.annotations.NullMarked;

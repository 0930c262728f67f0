/**
 * How far a tray is laid and in which order one walks to its lines. Start with {@link
 * dev.lonja.core.tray.TrayProgress}. Depends on {@code quantity} only.
 */
@NullMarked
package dev.lonja.core.tray;

import org.jspecify.annotations.NullMarked;

/**
 * How far a tray is laid and in which order one walks to its lines. Start with {@link
 * dev.lonja.core.tray.TrayProgress}; {@link dev.lonja.core.tray.BoxSettlement} says what a
 * substitution changes. Depends on {@code service} and {@code quantity}.
 */
@NullMarked
package dev.lonja.core.tray;

import org.jspecify.annotations.NullMarked;

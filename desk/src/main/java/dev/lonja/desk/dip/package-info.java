/**
 * Reads tanks, by hand and by gauge, and closes what differs from the book. Start with {@link
 * dev.lonja.desk.dip.DipDesk}.
 */
@NullMarked
package dev.lonja.desk.dip;

import org.jspecify.annotations.NullMarked;

/**
 * Findings and wanted parts: noted, watched, wanted, closed. Start with {@link
 * dev.lonja.desk.wanted.WantedDesk}.
 */
@NullMarked
package dev.lonja.desk.wanted;

import org.jspecify.annotations.NullMarked;

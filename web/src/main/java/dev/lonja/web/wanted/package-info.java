/**
 * Findings and wanted parts, of all machines and of one. Start with {@link
 * dev.lonja.web.wanted.WantedController}.
 */
@NullMarked
package dev.lonja.web.wanted;

import org.jspecify.annotations.NullMarked;

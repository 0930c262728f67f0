/** Findings and wanted parts. */
@NullMarked
package dev.lonja.store.wanted;

import org.jspecify.annotations.NullMarked;

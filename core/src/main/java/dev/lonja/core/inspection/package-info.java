/**
 * What inspections find and how often they end in a replacement. Start with {@link
 * dev.lonja.core.inspection.ReplacementChance}.
 */
@NullMarked
package dev.lonja.core.inspection;

import org.jspecify.annotations.NullMarked;

/**
 * Part numbers as people print, type and scan them. Start with {@link dev.lonja.core.part.PartKey}.
 * Depends on nothing else.
 */
@NullMarked
package dev.lonja.core.part;

import org.jspecify.annotations.NullMarked;

/**
 * Parts and their numbers as people print, type and scan them, and what is recorded of each. Start
 * with {@link dev.lonja.core.part.Part}. Depends on {@code quantity} only.
 */
@NullMarked
package dev.lonja.core.part;

import org.jspecify.annotations.NullMarked;

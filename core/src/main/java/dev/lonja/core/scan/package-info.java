/**
 * What scanners read beside plain numbers. Start with {@link dev.lonja.core.scan.Gs1}. Depends on
 * nothing.
 */
@NullMarked
package dev.lonja.core.scan;

import org.jspecify.annotations.NullMarked;

/**
 * A job that comes back: what was done, poured, added and removed, and what it says of substitutes.
 * Start with {@link dev.lonja.desk.takeback.TakeBackDesk}.
 */
@NullMarked
package dev.lonja.desk.takeback;

import org.jspecify.annotations.NullMarked;

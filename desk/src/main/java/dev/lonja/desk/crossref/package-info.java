/**
 * Which numbers stand for which: what fits where, who says so, and what contradicts it. Start with
 * {@link dev.lonja.desk.crossref.Alternatives}.
 */
@NullMarked
package dev.lonja.desk.crossref;

import org.jspecify.annotations.NullMarked;

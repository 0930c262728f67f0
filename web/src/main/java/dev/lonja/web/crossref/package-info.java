/**
 * What may stand for a part: candidates with their reasons, statements, conflicts, two parts to
 * scale, the map of numbers, measuring. Start with {@link dev.lonja.web.crossref.CandidatesLoader}.
 */
@NullMarked
package dev.lonja.web.crossref;

import org.jspecify.annotations.NullMarked;

/**
 * Which part may stand for which, on whose word, and what the metal says to it. Start with {@link
 * dev.lonja.core.crossref.Candidates}; the paths come from {@link
 * dev.lonja.core.crossref.PathSearch}, the comparison from {@link
 * dev.lonja.core.crossref.Comparison}. Depends on {@code part} and {@code quantity} only.
 */
@NullMarked
package dev.lonja.core.crossref;

import org.jspecify.annotations.NullMarked;

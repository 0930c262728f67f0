/**
 * Statements on which part may stand for which, and the guidance on rubbers. Start with {@link
 * StatementRepository}.
 */
@NullMarked
package dev.lonja.store.crossref;

import org.jspecify.annotations.NullMarked;

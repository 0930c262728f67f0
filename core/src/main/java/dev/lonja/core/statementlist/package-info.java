/**
 * Lists of cross-references held against what is known, before anything is taken in. Start with
 * {@link dev.lonja.core.statementlist.ListCheck}.
 */
@NullMarked
package dev.lonja.core.statementlist;

import org.jspecify.annotations.NullMarked;

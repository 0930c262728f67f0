/**
 * Pieces of pages whose markup is kept and written again as long as they are given the same values.
 * Start with {@link dev.lonja.web.kept.KeptInsert}.
 */
@NullMarked
package dev.lonja.web.kept;

import org.jspecify.annotations.NullMarked;

/**
 * What must be true of a whole store beyond what its tables check row by row. Start with {@link
 * dev.lonja.store.verification.Verification}.
 */
@NullMarked
package dev.lonja.store.verification;

import org.jspecify.annotations.NullMarked;

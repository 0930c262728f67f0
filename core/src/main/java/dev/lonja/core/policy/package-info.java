/**
 * How things are done where practitioners differ: the questions, the schools that answer them, and
 * whose choice is in force where. Start with {@link dev.lonja.core.policy.Policies}. Depends on
 * {@code fleet} only.
 */
@NullMarked
package dev.lonja.core.policy;

import org.jspecify.annotations.NullMarked;

/**
 * How things are done in this store: each question with its schools, what they take in the year
 * ahead, and who does otherwise. Start with {@link dev.lonja.web.policy.PolicyController}.
 */
@NullMarked
package dev.lonja.web.policy;

import org.jspecify.annotations.NullMarked;

/**
 * How things are done where practitioners differ, what it takes in the year ahead, and who may
 * change it. Start with {@link dev.lonja.desk.policy.PolicyDesk}.
 */
@NullMarked
package dev.lonja.desk.policy;

import org.jspecify.annotations.NullMarked;

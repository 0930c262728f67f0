/**
 * Would the rules have done better? The past of a thing stepped through again, with other orders
 * (rules §13).
 */
@NullMarked
package dev.lonja.core.replay;

import org.jspecify.annotations.NullMarked;

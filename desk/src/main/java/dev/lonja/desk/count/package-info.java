/**
 * What is to be counted, and what a count comes to. Start with {@link
 * dev.lonja.desk.count.CountDesk}.
 */
@NullMarked
package dev.lonja.desk.count;

import org.jspecify.annotations.NullMarked;

/**
 * What is to be counted when, and what a count comes to. Start with {@link
 * dev.lonja.core.count.CountPlan}. Depends on quantities, items and places.
 */
@NullMarked
package dev.lonja.core.count;

import org.jspecify.annotations.NullMarked;

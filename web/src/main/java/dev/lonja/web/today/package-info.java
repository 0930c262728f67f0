/**
 * Today: the rack of trays and what needs hands. Start with {@link
 * dev.lonja.web.today.TodayWording}.
 */
@NullMarked
package dev.lonja.web.today;

import org.jspecify.annotations.NullMarked;

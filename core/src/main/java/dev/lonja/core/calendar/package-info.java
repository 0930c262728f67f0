/**
 * How much a machine is used through its year: monthly factors, lay-ups, bursts. Start with {@link
 * dev.lonja.core.calendar.UsageCalendar}.
 */
@NullMarked
package dev.lonja.core.calendar;

import org.jspecify.annotations.NullMarked;

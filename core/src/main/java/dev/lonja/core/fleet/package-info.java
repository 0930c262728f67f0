/**
 * Machines, their meters and how much they run. Start with {@link
 * dev.lonja.core.meter.MeterOutlook}: it joins a judged {@link dev.lonja.core.meter.ReadingLog}, a
 * {@link dev.lonja.core.calendar.UsageCalendar} and a {@link dev.lonja.core.meter.UsageRate} into
 * the life expected on a day. {@link dev.lonja.core.fleet.Compartment} and {@link
 * dev.lonja.core.fleet.Position} say what a machine takes. Depends on {@code quantity} only.
 */
@NullMarked
package dev.lonja.core.fleet;

import org.jspecify.annotations.NullMarked;

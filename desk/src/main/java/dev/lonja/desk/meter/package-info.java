/**
 * Meters that report themselves. Start with {@link dev.lonja.desk.meter.MeterFeed}, which the
 * simulated stand-in fulfils.
 */
@NullMarked
package dev.lonja.desk.meter;

import org.jspecify.annotations.NullMarked;

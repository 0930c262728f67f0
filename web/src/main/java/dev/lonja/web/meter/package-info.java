/** Meters read, judged, exchanged. Start with {@link dev.lonja.web.meter.MeterController}. */
@NullMarked
package dev.lonja.web.meter;

import org.jspecify.annotations.NullMarked;

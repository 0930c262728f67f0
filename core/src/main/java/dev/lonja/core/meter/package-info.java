/**
 * Readings and what follows from them: judged, made into a rate, a dispersion and an outlook. Start
 * with {@link dev.lonja.core.meter.ReadingJudge} and {@link dev.lonja.core.meter.MeterStanding}.
 */
@NullMarked
package dev.lonja.core.meter;

import org.jspecify.annotations.NullMarked;

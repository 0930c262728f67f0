package dev.lonja.core.meter;

import dev.lonja.core.calendar.UsageCalendar;
import dev.lonja.core.fleet.Unit;

/** A meter with its unit, the unit's usage calendar and what its notes come down to. */
public record MeterFile(Unit unit, Meter meter, UsageCalendar calendar, MeterDigest digest) {}

package dev.lonja.core.fleet;

/** A meter with its unit, the unit's usage calendar and what its notes come down to. */
public record MeterFile(Unit unit, Meter meter, UsageCalendar calendar, MeterDigest digest) {}

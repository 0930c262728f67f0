package dev.lonja.core.fleet;

/** A meter with its unit, the unit's usage calendar and all that was noted of it. */
public record MeterFile(Unit unit, Meter meter, UsageCalendar calendar, MeterNotes notes) {}

package dev.lonja.core.fleet;

import java.util.List;

/** A meter with its unit, the unit's usage calendar and all readings, in any order. */
public record MeterFile(Unit unit, Meter meter, UsageCalendar calendar, List<Reading> readings) {

  public MeterFile {
    readings = List.copyOf(readings);
  }
}

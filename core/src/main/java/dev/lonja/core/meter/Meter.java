package dev.lonja.core.meter;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterValue;
import java.util.Optional;

/**
 * A counter of hours or kilometres on a unit.
 *
 * @param start what it stood at when the unit went into service
 * @param declaredRate what the unit is said to run, for want of readings
 */
public record Meter(
    MeterId id, UnitId unitId, String name, MeterValue start, Optional<UsageRate> declaredRate) {

  public MeterMeasure measure() {
    return start.measure();
  }
}

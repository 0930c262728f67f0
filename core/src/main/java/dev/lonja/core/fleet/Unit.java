package dev.lonja.core.fleet;

import java.time.LocalDate;

/**
 * A machine in the fleet.
 *
 * @param code its short name, unique in the fleet, such as "RT-04"
 */
public record Unit(
    long id, String code, String name, UnitClass unitClass, String model, LocalDate inServiceOn) {

  /** Machines of one kind, which share a usage calendar. */
  public record UnitClass(long id, String code, String name) {}
}

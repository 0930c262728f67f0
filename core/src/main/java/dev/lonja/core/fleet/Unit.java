package dev.lonja.core.fleet;

import java.time.LocalDate;
import java.util.Optional;

/**
 * A machine in the fleet.
 *
 * @param code its short name, unique in the fleet, such as "RT-04"
 * @param retiredOn the day it left the fleet; it is kept for its history and needs nothing more
 * @param version counts its edits
 */
public record Unit(
    UnitId id,
    String code,
    String name,
    UnitClass unitClass,
    Variant variant,
    LocalDate inServiceOn,
    Optional<LocalDate> retiredOn,
    long version) {

  /** True on every day before the one on which it leaves the fleet. */
  public boolean serves(LocalDate day) {
    return retiredOn.map(day::isBefore).orElse(true);
  }

  /** Machines of one kind, which share a usage calendar. */
  public record UnitClass(long id, String code, String name) {}
}

package dev.lonja.core.fleet;

import dev.lonja.core.place.Place;
import java.time.LocalDate;
import java.util.Optional;

/**
 * A machine in the fleet.
 *
 * @param code its short name, unique in the fleet, such as "RT-04"
 * @param home the place that it is served from
 * @param retiredOn the day it left the fleet; it is kept for its history and needs nothing more
 * @param version counts its edits
 */
public record Unit(
    UnitId id,
    String code,
    String name,
    UnitClass unitClass,
    Variant variant,
    Place home,
    LocalDate inServiceOn,
    Optional<LocalDate> retiredOn,
    long version) {

  /** One that is served from the main store. */
  public Unit(
      UnitId id,
      String code,
      String name,
      UnitClass unitClass,
      Variant variant,
      LocalDate inServiceOn,
      Optional<LocalDate> retiredOn,
      long version) {
    this(id, code, name, unitClass, variant, Place.MAIN, inServiceOn, retiredOn, version);
  }

  /** True on every day before the one on which it leaves the fleet. */
  public boolean serves(LocalDate day) {
    return retiredOn.map(day::isBefore).orElse(true);
  }

  /** Machines of one kind, which share a usage calendar. */
  public record UnitClass(long id, String code, String name) {}
}

package dev.lonja.desk.fleet;

import dev.lonja.core.meter.MeterFile;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterNotes;
import dev.lonja.store.Session;
import dev.lonja.store.query.UnitScope;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The fleet as it was known on days of the past: by the readings and the work noted of days up to
 * then. How machines are built and how things are done is taken as it is now, since nobody kept how
 * it was.
 */
public final class PastFleet {

  private final List<UnitInputs> units;
  private final Map<MeterId, MeterNotes> notes;
  private final CommonInputs common;
  private final Kits kits;

  private PastFleet(
      List<UnitInputs> units, Map<MeterId, MeterNotes> notes, CommonInputs common, Kits kits) {
    this.units = units;
    this.notes = notes;
    this.common = common;
    this.kits = kits;
  }

  /**
   * @param today whose kits and prices hold for all days
   */
  public static PastFleet load(Session session, LocalDate today) {
    List<UnitInputs> units = UnitInputs.load(session, UnitScope.ALL);
    Map<MeterId, MeterNotes> notes = new HashMap<>();
    for (UnitInputs unit : units) {
      for (MeterFile file : unit.meters()) {
        notes.put(file.meter().id(), session.readings().of(file.meter().id()));
      }
    }
    Kits kits = Kits.of(session, FleetPicture.load(session, today));
    return new PastFleet(units, notes, CommonInputs.load(session), kits);
  }

  /** The kits of today. */
  public Kits kits() {
    return kits;
  }

  /** As it was known at the end of a day. */
  public FleetPicture on(LocalDate day) {
    return FleetPicture.of(
        day, units.stream().map(unit -> unit.asOf(day, notes)).toList(), common, Optional.empty());
  }
}
